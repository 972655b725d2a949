import { kindOf } from '../equipment/index';
import type { Plan } from '../plan/plan';
import { type Run, runsOf, standing } from '../plan/runs';
import { Dirt, PARTICLE_X } from '../purity/dirt';
import { liquidGPerM3, oilClassOf, type WaterClass, waterClassOf } from '../purity/iso-8573';
import { humidityAt, type Section } from './section';

/** Particle : water : oil of the air downstream of a stage. */
export interface Grade {
  readonly particle: string;
  readonly water: WaterClass;
  readonly oil: string;
  readonly dirt: Dirt;
  /** Decides the water class where there is any, g/m³. */
  readonly liquidGPerM3: number;
  readonly dewPointC: number;
}

/** Scale loosens in steel pipe that is not dry (common practice). */
const RUST_OVER = 0.5;
const RUST_CLASS = 6;

/**
 * The air of a room as the intake meets it: oil 0.05–0.5 mg/m³, dust above any class (estimates).
 * @example roomAir().oilMg // 0.20
 */
export const roomAir = (): Dirt =>
  new Dirt(0.2, 'oil in the air of the room, estimate', PARTICLE_X, 'the dust of the room');

/**
 * The particle class as it is written.
 * @example letter(8) // 'X'
 */
export const letter = (particle: number): string => (particle >= PARTICLE_X ? 'X' : String(particle));

/**
 * The three digits as they are written.
 * @example written({ particle: '2', water: '4', oil: '2' }) // '2:4:2'
 */
export const written = (g: Pick<Grade, 'particle' | 'water' | 'oil'>): string => `${g.particle}:${g.water}:${g.oil}`;

/**
 * Follows oil and particles along the line, from the type of the compressor through filters in their order, beds that
 * shed dust and pipe that rusts, to the class at each stage. A branch begins with what its tee has; where pipes join,
 * the dirtier counts.
 *
 * @returns by stage id, as far as the walk came
 * @source classes: ISO 8573-1:2010 (recalled); what each stage does: common practice and estimates, by its kind
 * @example written(gradeLine(plan, section).get('outlet')) // '1:4:3'
 */
export function gradeLine(plan: Plan, section: Section): Map<string, Grade> {
  const runs = runsOf(standing(plan));
  const rusts = plan.survey.pipe === 'rusting';
  const behind = new Map<string, Dirt>();
  const ends = new Map<string, Dirt>();
  const busy = new Set<string>();
  const grades = new Map<string, Grade>();
  const follow = (run: Run): void => {
    if (busy.has(run.id)) return;
    busy.add(run.id);
    if (run.from !== null) {
      const tee = runs.find((r) => r.stages.some((s) => s.id === run.from));
      if (tee) follow(tee);
    }
    let dirt = (run.from === null ? roomAir() : behind.get(run.from)?.copy()) ?? roomAir();
    for (const stage of run.stages) {
      for (const joining of runs.filter((r) => r.into === stage.id)) {
        follow(joining);
        const comes = ends.get(joining.id);
        if (comes) dirt.mix(comes);
      }
      const station = section.at(stage.id);
      if (!station) break;
      const air = {
        temperatureC: station.temperatureC,
        get relativeHumidity() {
          return humidityAt(station, station.temperatureC, station.pressurePa);
        },
      };
      dirt = dirt.copy();
      const cleans = kindOf(stage.kind).cleans;
      if (rusts && stage.kind !== 'intake' && stage.kind !== 'compressor' && air.relativeHumidity > RUST_OVER)
        dirt.shed(RUST_CLASS, 'scale of steel pipe in air that is not dry');
      cleans?.(dirt, stage.parameters, air);
      behind.set(stage.id, dirt);
      const liquid = liquidGPerM3(station.liquidKgPerS, station.dryAirKgPerS);
      grades.set(stage.id, {
        particle: letter(dirt.particle),
        water: waterClassOf(station.pressureDewPointC, liquid),
        oil: oilClassOf(dirt.oilMg),
        dirt,
        liquidGPerM3: liquid,
        dewPointC: station.pressureDewPointC,
      });
    }
    ends.set(run.id, dirt);
  };
  for (const run of runs) follow(run);
  return grades;
}

/**
 * Whether a class is as clean as one that is asked for: 1 is cleanest, X the dirtiest.
 * @example isAsClean('2', '3') // true
 */
export function isAsClean(gets: string, needs: string): boolean {
  const rank = (c: string): number => (c === 'X' ? 99 : Number(c));
  return needs === 'any' || rank(gets) <= rank(needs);
}

/**
 * Whether air is as free of particles and oil as a job asks.
 * @example isCleanEnough({ particle: '2', water: '4', oil: '3' }, { particleClass: '3', oilClass: 'any' }) // true
 */
export const isCleanEnough = (
  gets: Pick<Grade, 'particle' | 'oil'>,
  needs: { readonly particleClass: string; readonly oilClass: string },
): boolean => isAsClean(gets.particle, needs.particleClass) && isAsClean(gets.oil, needs.oilClass);
