import { type Derivation, input } from '../quantity/derivation';
import { type Grade, written } from './grade-line';

/**
 * “Why?” for the three digits of a place.
 * @example explainGrade(gradeLine(plan, section).get('outlet'), 'Outlet').value // 0.2144
 */
export function explainGrade(grade: Grade, name: string): Derivation {
  const { dirt, liquidGPerM3, dewPointC } = grade;
  return {
    title: `Purity · ${name}`,
    words: written(grade),
    quantity: 'number',
    value: dirt.oilMg,
    formula: 'particle : water : oil, each by the first class whose limit it keeps',
    inputs: [
      input(`particle ${grade.particle}`, 'number', dirt.particle, dirt.particleWhy),
      liquidGPerM3 > 0
        ? input(`water ${grade.water}: liquid, g/m³`, 'number', liquidGPerM3, 'drops in the air')
        : input(`water ${grade.water}`, 'temperature', dewPointC, 'pressure dew point'),
      input(`oil ${grade.oil}: mg/m³`, 'number', dirt.oilMg, dirt.oilWhy),
    ],
    source: 'classes: ISO 8573-1:2010 (recalled); particles and oil by common practice and estimates, not measured',
    note: 'A class holds only if it is measured. This tool never says that air is fit for breathing.',
  };
}
