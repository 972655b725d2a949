import { is, TREATMENT } from '../equipment/groups';
import { loadedHoursPerDay } from '../line/working-day';
import { drainPoints } from '../plan/edit';
import { WATER_KG_PER_M3, YEAR_S } from '../quantity/constants';
import { caught } from './drain-facts';
import { answer, at, ofLine, set, stated } from './fix';
import type { Rule } from './rule';

const LIFT_MOST_M = 1.83; // 6 ft

const BORE_LEAST_M = 0.00635; // 1/4 in

const MONTH_S = YEAR_S / 12;

/** Where the water goes, and what goes round the treatment. */
export const CONDENSATE: readonly Rule[] = [
  {
    id: 'O39',
    grade: 'must',
    when: 'condensate of an oiled compressor that goes down a drain or on the ground',
    fix: 'An oil–water separator, or a licensed collector.',
    source: 'water and waste law: the local limit counts',
    finds: (line) => {
      const { condensate } = line.plan.survey.site;
      if (!line.oiled || condensate !== 'away' || drainPoints(line.plan).length === 0) return [];
      const kg = line.stages.reduce((sum, s) => sum + caught(line, s), 0) * loadedHoursPerDay(line.plan) * 3600;
      return [
        ofLine(
          'Oily condensate is discharged illegally.',
          (say) => `The drains bring ${say(kg / WATER_KG_PER_M3, 'drained')} a day with oil in it: regulated waste.`,
          answer('Send it through an oil–water separator', { condensate: 'separator' }),
          answer('Have it collected', { condensate: 'collected' }),
        ),
      ];
    },
  },
  {
    id: 'A16',
    grade: 'note',
    when: 'it is not recorded where the condensate of an oiled compressor goes',
    fix: 'Find out, and say so in the Survey.',
    source: 'common practice',
    finds: (line) => {
      const { condensate } = line.plan.survey.site;
      if (
        !line.oiled ||
        condensate !== 'not-said' ||
        drainPoints(line.plan).length === 0 ||
        line.of('oil-water-separator').length > 0
      )
        return [];
      return [
        ofLine(
          'Where does the condensate go?',
          'It contains oil: its disposal is regulated.',
          answer('Through an oil–water separator', { condensate: 'separator' }),
          answer('To a licensed collector', { condensate: 'collected' }),
        ),
      ];
    },
  },
  {
    id: 'O40',
    grade: 'should',
    when: 'drains of different pressure in one unvented line',
    fix: 'One vented line for all, and check valves.',
    source: 'common practice',
    finds: (line) => {
      const pressures = drainPoints(line.plan).flatMap((s) => line.at(s)?.pressurePa ?? []);
      const spread = Math.max(...pressures) - Math.min(...pressures);
      return line.plan.survey.site.drainLines === 'shared' && spread > 2e4
        ? [
            ofLine(
              'One drain can blow back through another.',
              (say) =>
                `They share an unvented line, and their pressures differ by ${say(spread, 'pressureDifference')}.`,
              answer('Vent the line', { drainLines: 'vented' }),
            ),
          ]
        : [];
    },
  },
  {
    id: 'O41',
    grade: 'should',
    when: 'a drain line that rises over 6 ft (1.8 m), is narrower than 1/4 in, or may freeze',
    fix: 'Re-lay it, or heat trace it.',
    source: 'common practice',
    finds: (line) => {
      const { drainLiftM, drainLineBoreM, drainLineCold } = line.plan.survey.site;
      const high = drainLiftM > LIFT_MOST_M;
      const narrow = drainLineBoreM < BORE_LEAST_M;
      if (!high && !narrow && drainLineCold === 'no') return [];
      return [
        ofLine(
          'A drain line may not clear itself.',
          (say) =>
            [
              high && `It rises ${say(drainLiftM, 'length')}.`,
              narrow && `Its bore is ${say(drainLineBoreM, 'size')}.`,
              drainLineCold === 'yes' && 'It passes where it freezes.',
            ]
              .filter(Boolean)
              .join(' '),
          answer('Re-lay it: with fall, larger bore, in a warm place', {
            drainLiftM: 0,
            drainLineBoreM: 0.0095,
            drainLineCold: 'no',
          }),
        ),
      ];
    },
  },
  {
    id: 'O42',
    grade: 'should',
    when: 'a bypass round a dryer or filter that is not locked shut',
    fix: 'Lock it, tag it, and log each opening.',
    source: 'common practice: found in many complaints of wet air',
    finds: (line) =>
      line.plan.branches
        .filter((b) => b.from !== null && b.into !== null && b.stages.every((s) => !is(TREATMENT, s.kind)))
        .flatMap((b) => {
          const into = line.stages.find((s) => s.id === b.into);
          const from = line.stages.find((s) => s.id === b.from);
          const round =
            into && from ? line.upstream(into).slice(0, Math.max(0, line.upstream(into).indexOf(from))) : [];
          const passed = round.find((s) => is(TREATMENT, s.kind));
          const valve = b.stages.find((s) => s.kind === 'isolating-valve');
          if (!passed || !from || (valve?.parameters.lock === 'locked' && b.share === 0)) return [];
          const open = b.share > 0;
          return [
            at(
              [passed, ...(valve ? [valve] : [])],
              `${b.name} is ${open ? 'open' : 'not locked'}.`,
              open
                ? (say) =>
                    `${say(b.share, 'share')} of the air goes round ${passed.name}: all downstream of it gets wet.`
                : `Opened by mistake, it makes all behind ${passed.name} wet.`,
              {
                does: 'Shut it and lock it',
                edit: (plan, newId) => {
                  const shut = {
                    ...plan,
                    branches: plan.branches.map((o) =>
                      o.id === b.id ? { ...o, share: 0, split: 'entered' as const } : o,
                    ),
                  };
                  return valve ? set('', valve, { lock: 'locked' }).edit(shut, newId) : shut;
                },
              },
            ),
          ];
        }),
  },
  {
    id: 'O55',
    grade: 'should',
    when: 'an oil–water separator whose carbon has no record of change in twelve months',
    fix: 'Change it, look at a jar of what comes out, and write it down.',
    source: 'common practice',
    finds: (line) =>
      line
        .of('oil-water-separator')
        .filter((s) => s.parameters.carbonUsedS === 0 || s.parameters.carbonUsedS > YEAR_S)
        .map((s) =>
          at(
            s,
            `There is no evidence that ${s.name} still works.`,
            s.parameters.carbonUsedS === 0
              ? 'There is no record of when its carbon was changed.'
              : `Its carbon is ${Math.round(s.parameters.carbonUsedS / MONTH_S)} months old.`,
            stated(set('It was changed this month', s, { carbonUsedS: 30 * 86_400 })),
          ),
        ),
  },
];
