import { orificeKgPerS } from '../pipe-flow/orifice';
import type { Stage } from '../plan/plan';
import { at, put, set, stated, takeOut } from './fix';
import type { LineFacts } from './line-facts';
import type { Rule } from './rule';

const RELIEF_OVER = 1.1; // a relief valve passes its stamped flow at 110 % of its setting

/** A part that bursts, and what it is rated for, as a gauge pressure. */
function ratingOf(line: LineFacts, s: Stage): number | undefined {
  if (s.kind === 'hose') return line.gauge(s.parameters.ratedPa);
  if (s.kind === 'home-made-housing') return line.gauge(s.parameters.markedPa);
  const rated = (s.parameters as { ratedGaugePa?: number }).ratedGaugePa ?? 0;
  return rated > 0 ? rated : undefined;
}

/** What holds pressure, and what lets go before it bursts. */
export const VESSELS: readonly Rule[] = [
  {
    id: 'S02',
    grade: 'must',
    stop: true,
    when: 'a receiver without a relief valve',
    fix: 'Fit a stamped relief valve on the tank, with no valve between.',
    source: 'OSHA 1910.169(b)(3), recalled',
    finds: (line) =>
      line
        .of('receiver')
        .filter((s) => s.parameters.relief === 'none' && !line.reliefOf(s))
        .map((s) =>
          at(
            s,
            `${s.name} has no relief valve.`,
            'If the pressure switch sticks, nothing stops the compressor before the tank bursts.',
            put('Add a relief valve on it', 'before', s, [
              'relief-valve',
              {
                setPressurePa:
                  line.around.atmosphericPa +
                  (s.parameters.ratedGaugePa ||
                    RELIEF_OVER * line.gauge(line.compressorOf(s)?.parameters.cutOutPa ?? 0)),
              },
            ]),
          ),
        ),
  },
  {
    id: 'S03',
    grade: 'must',
    stop: true,
    when: 'a relief valve set above the rating of a tank beside it, or of a part upstream of it',
    fix: 'Fit a valve with a lower setting, or protect the weaker part by a valve of its own.',
    source: 'pressure-vessel codes; common practice',
    finds: (line) =>
      [...line.of('relief-valve'), ...line.of('receiver')].flatMap((s) => {
        const setPa =
          s.kind === 'relief-valve'
            ? line.gauge(s.parameters.setPressurePa)
            : s.parameters.relief === 'own'
              ? s.parameters.reliefSetGaugePa
              : 0;
        const beside = [
          s,
          ...line.upstream(s),
          ...(s.kind === 'relief-valve' ? [line.next(s)].filter((n) => n?.kind === 'receiver') : []),
        ] as Stage[];
        const weak = beside
          .filter((p) => (ratingOf(line, p) ?? Infinity) < setPa)
          .sort((a, b) => (ratingOf(line, a) as number) - (ratingOf(line, b) as number))[0];
        const bears = weak && (ratingOf(line, weak) as number);
        if (!weak || bears === undefined) return [];
        return [
          at(
            [s, weak],
            (say) =>
              `${s.kind === 'relief-valve' ? s.name : `The relief valve of ${s.name}`} opens at ${say(setPa, 'pressureDifference')}; the rating of ${weak.name} is ${say(bears, 'pressureDifference')}.`,
            'It would open only after the weaker part has been overloaded.',
            set(
              'Fit a valve that opens where it should',
              s,
              s.kind === 'relief-valve'
                ? { setPressurePa: line.around.atmosphericPa + bears }
                : { reliefSetGaugePa: bears },
            ),
          ),
        ];
      }),
  },
  {
    id: 'S04',
    grade: 'must',
    stop: true,
    when: 'a relief valve that passes less than all connected compressors deliver',
    fix: 'Fit a valve whose stamped capacity is at least what all compressors deliver together.',
    source: 'ASME VIII-1 (capacity at 110 % of the setting), recalled; flow through its bore computed',
    finds: (line) =>
      line.of('relief-valve').flatMap((s) => {
        const { atmosphericPa } = line.around;
        const at110 = atmosphericPa + RELIEF_OVER * line.gauge(s.parameters.setPressurePa);
        const passes = orificeKgPerS(s.parameters.boreM, at110, atmosphericPa, 20);
        const makes = line.section.dryAirKgPerS;
        if (passes >= makes) return [];
        return [
          at(
            s,
            (say) => `${s.name} passes ${say(passes, 'massFlow')}; the compressors make ${say(makes, 'massFlow')}.`,
            'With the valve wide open the pressure would still rise.',
            set('Fit a wider valve', s, { boreM: s.parameters.boreM * Math.sqrt((1.1 * makes) / passes) }),
          ),
        ];
      }),
  },
  {
    id: 'S05',
    grade: 'must',
    stop: true,
    when: 'a part rated for less than the relief valve before it lets through',
    fix: 'Fit a part of a higher rating, or a regulator with a relief valve of its own upstream of it.',
    source: 'common practice: a regulator may fail open',
    finds: (line) =>
      line.stages.flatMap((s) => {
        const rated = s.kind === 'receiver' ? undefined : ratingOf(line, s);
        const most = rated === undefined ? 0 : line.mostGaugePa(s);
        if (rated === undefined || most <= rated) return [];
        return [
          at(
            s,
            (say) =>
              `${s.name} is rated for ${say(rated, 'pressureDifference')}; it can be exposed to ${say(most, 'pressureDifference')}.`,
            'That is where the relief valve before it opens. A regulator between them does not count: it can fail open.',
            s.kind === 'hose'
              ? set('Take a hose that is rated for it', s, { ratedPa: line.around.atmosphericPa + 1.25 * most })
              : 'ratedGaugePa' in s.parameters
                ? set('Use one that is rated for it', s, { ratedGaugePa: 1.25 * most })
                : takeOut('Remove it', s),
          ),
        ];
      }),
  },
  {
    id: 'S08',
    grade: 'must',
    stop: true,
    when: 'a valve that can be shut between a compressor and its first relief valve',
    fix: 'Remove the valve, or fit a relief valve upstream of it.',
    source: 'OSHA 1910.169 and pressure-vessel codes, recalled',
    finds: (line) =>
      line.compressors.flatMap((compressor) => {
        const path = line.downstream(compressor);
        const relief = path.findIndex((s) => s.kind === 'relief-valve' || s.kind === 'receiver');
        return path
          .slice(0, Math.max(relief, 0))
          .filter((s) => s.kind === 'isolating-valve')
          .map((s) =>
            at(
              s,
              `${s.name} can shut the compressor off from its relief valve.`,
              'Shut by mistake, it leaves the compressor pushing into a dead end.',
              takeOut('Remove the valve', s),
            ),
          );
      }),
  },
  {
    id: 'S09',
    grade: 'must',
    stop: true,
    when: 'a tank without a legible nameplate for air, made for another gas, or repaired by an unknown person',
    fix: 'Have it looked at by an inspector, or scrap it. A test with water at home makes it neither legal nor safe.',
    source: 'ASME VIII and the like, recalled; common practice',
    finds: (line) =>
      line
        .of('receiver')
        .filter((s) => s.parameters.nameplate === 'none' || s.parameters.nameplate === 'other')
        .map((s) =>
          at(
            s,
            `The rating of ${s.name} is unknown.`,
            s.parameters.nameplate === 'none'
              ? 'It has no legible nameplate.'
              : 'It was made for another gas, or repaired by an unknown person.',
            set('Use a tank with a nameplate', s, { nameplate: 'legible' }),
          ),
        ),
  },
  {
    id: 'A04',
    grade: 'should',
    when: 'a tank without a record of a relief valve or a nameplate',
    fix: 'Look at the tank, and enter what is there.',
    source: 'common practice',
    finds: (line) =>
      line.of('receiver').flatMap((s) => {
        const relief = s.parameters.relief === 'not-said' && !line.reliefOf(s);
        const plate = s.parameters.nameplate === 'not-said';
        if (!relief && !plate) return [];
        return [
          at(
            s,
            `Look at ${s.name}: ${[relief && 'has it a relief valve', plate && 'is its nameplate legible'].filter(Boolean).join(', and ')}?`,
            'A tank that bursts can kill. Its relief valve and nameplate are the protection.',
            stated(
              set('Both present, inspected', s, {
                ...(relief && { relief: 'own' }),
                ...(plate && { nameplate: 'legible' }),
              }),
            ),
          ),
        ];
      }),
  },
];
