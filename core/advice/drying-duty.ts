import { CHILLED, DRYERS, TOWERS } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import { burstsThrough, peakThrough } from './dryers';
import { at, ofLine, put, set, stated } from './fix';
import type { LineFacts } from './line-facts';
import type { Rule } from './rule';

const PELLETS_MOST_C = 37.8; // 100 °F

const PURGE_APART_PA = 68_948; // 10 psi

const SWEEP_WASTED_BELOW = 0.3; // of the rated flow (common practice, no source)

const PEAK_OVER_AVERAGE = 2; // so uneven a draw wants a dry receiver (common practice, no source)

/** A reading holds up to a tenth more air and a room some degrees warmer than it was read in (estimates). */
const READ_FLOW_MOST = 1.1;
const READ_ROOM_MOST_K = 3;

const dryReceiver = (line: LineFacts, s: Stage): boolean => line.downstream(s).some((d) => d.kind === 'receiver');

const ratedOf = (s: Stage): number => (s.parameters as { ratedFlowM3PerS?: number }).ratedFlowM3PerS ?? 0;

/** How much a line that runs out of air is short without each dryer that takes air itself. */
function stillShort(line: LineFacts, shortM3PerS: number): { name: string; shortM3PerS: number }[] {
  const perKg = line.balance.deliveredM3PerS / Math.max(line.section.dryAirKgPerS, 1e-12);
  return line.of(...DRYERS).flatMap((s) => {
    const takes = (line.at(s)?.ventedAirKgPerS ?? 0) * perKg;
    return takes > 0 ? [{ name: s.name, shortM3PerS: shortM3PerS - takes }] : [];
  });
}

/** Whether a dryer can do what passes it, and what it costs in air. */
export const DRYING_DUTY: readonly Rule[] = [
  {
    id: 'O13',
    grade: 'note',
    when: 'use through a dryer in bursts of more than twice the average, and no dry receiver',
    fix: 'A dry receiver downstream of it, sized by the bursts.',
    source: 'common practice',
    finds: (line) =>
      line.of(...CHILLED, ...TOWERS, 'membrane').flatMap((s) => {
        const { peak, average } = peakThrough(line, s);
        const bursts = burstsThrough(line, s);
        if (bursts.peak <= PEAK_OVER_AVERAGE * bursts.average || dryReceiver(line, s)) return [];
        return [
          at(
            s,
            'A dry tank downstream of the dryer would cover peak demand.',
            (say) => `Together the jobs draw ${say(peak, 'volumeFlow')}, on average ${say(average, 'volumeFlow')}.`,
            put('Add a dry receiver downstream of it', 'behind', s, ['receiver', { volumeM3: peak * 60 * 0.3 }]),
          ),
        ];
      }),
  },
  {
    id: 'O14',
    grade: 'should',
    when: 'a peak beyond what the dryer can do, and no dry receiver',
    fix: 'A dry receiver, a flow controller, or a larger dryer.',
    source: 'common practice',
    finds: (line) =>
      line.of(...CHILLED, ...TOWERS).flatMap((s) => {
        const load = line.load(s);
        const comes = line.inlet(s);
        const can = load && comes ? line.flow(comes) / load : Infinity;
        const { peak } = peakThrough(line, s);
        const { peak: bursts } = burstsThrough(line, s);
        if (peak <= can || bursts <= 0 || peak - bursts > can || dryReceiver(line, s)) return [];
        return [
          at(
            s,
            (say) => `Surges of ${say(peak, 'volumeFlow')} overload ${s.name}.`,
            (say) => `Here it can do ${say(can, 'volumeFlow')}: in each surge the dew point jumps.`,
            put('Add a dry receiver downstream of it', 'behind', s, ['receiver', { volumeM3: peak * 60 * 0.3 }]),
          ),
        ];
      }),
  },
  {
    id: 'O15',
    grade: 'must',
    when: 'more air than a dryer can dry in these conditions',
    fix: 'Cool the air, cool the room, raise the pressure; else a larger dryer or one more beside it.',
    source: 'generic correction tables, common practice: the maker’s own win',
    finds: (line) =>
      line.of(...CHILLED, ...TOWERS, 'high-inlet-dryer').flatMap((s) => {
        const load = line.load(s);
        const usesRating = s.kind !== 'refrigerated-dryer' || s.parameters.method === 'rated';
        const comes = line.inlet(s);
        if (!load || !comes || load <= 1 || !usesRating) return [];
        const inlet = comes.temperatureC;
        return [
          at(
            s,
            (say) => `${s.name} is loaded to ${say(load, 'share')} of its capacity here.`,
            (say) =>
              `The rating on its plate is for other conditions: here the air comes at ${say(inlet, 'temperature')} into a room of ${say(line.roomC(s), 'temperature')}.`,
            set('Take a dryer that is large enough', s, { ratedFlowM3PerS: ratedOf(s) * load * 1.1 }),
          ),
        ];
      }),
  },
  {
    id: 'A34',
    grade: 'should',
    when: 'a measured dew point of a refrigerated dryer, without a recorded flow, or that was read at less flow or in a cooler room',
    fix: 'Read it again in this duty, or enter the dryer by its rating.',
    source: 'computed from this line',
    finds: (line) =>
      line.of('refrigerated-dryer').flatMap((s) => {
        const { method, readAtM3PerS, readInRoomC } = s.parameters;
        const comes = line.inlet(s);
        if (method !== 'dew-point' || !comes) return [];
        const flow = line.flow(comes);
        const roomC = line.roomC(s);
        const [more, warmer] = [flow > READ_FLOW_MOST * readAtM3PerS, roomC > readInRoomC + READ_ROOM_MOST_K];
        if (readAtM3PerS > 0 && !more && !warmer) return [];
        return [
          at(
            s,
            readAtM3PerS === 0
              ? `The dew point of ${s.name} holds only as far as it was measured, and its flow was not recorded.`
              : `The dew point of ${s.name} was measured in an easier duty.`,
            (say) =>
              readAtM3PerS === 0
                ? `Here ${say(flow, 'volumeFlow')} passes in a room of ${say(roomC, 'temperature')}: an undersized dryer would not show.`
                : `It was read at ${say(readAtM3PerS, 'volumeFlow')} in a room of ${say(readInRoomC, 'temperature')}; here it is ${say(flow, 'volumeFlow')} and ${say(roomC, 'temperature')}.`,
            stated(set('Enter it by the rating on its plate', s, { method: 'rated' })),
          ),
        ];
      }),
  },
  {
    id: 'O19',
    grade: 'must',
    when: 'air of more than 100 °F (38 °C) on salt pellets',
    fix: 'A better aftercooler.',
    source: 'common practice',
    finds: (line) =>
      line.of('pellet-tower').flatMap((s) => {
        const arrives = line.inlet(s)?.temperatureC ?? 0;
        return arrives <= PELLETS_MOST_C
          ? []
          : [
              at(
                s,
                (say) => `The pellets in ${s.name} get air of ${say(arrives, 'temperature')}.`,
                (say) =>
                  `Above ${say(PELLETS_MOST_C, 'temperature')} they fuse, and the dew point follows the air that comes.`,
                put(
                  'Cool it further before the tower',
                  'before',
                  s,
                  ['aftercooler'],
                  ['separator', { drain: 'float' }],
                ),
              ),
            ];
      }),
  },
  {
    id: 'O20',
    grade: 'must',
    when: 'a pellet tower whose brine has nowhere to go',
    fix: 'A drain, into a container or a sewer that may take it.',
    source: 'local law on discharge; common practice',
    finds: (line) =>
      line
        .of('pellet-tower')
        .filter((s) => s.parameters.brine === 'ground')
        .map((s) =>
          at(
            s,
            `The brine of ${s.name} is discharged without permission.`,
            'It is salt water with oil in it: it eats steel, and discharge is regulated.',
            set('Discharge it where permitted', s, { brine: 'permitted' }),
          ),
        ),
  },
  {
    id: 'O23',
    grade: 'note',
    when: 'a membrane that is used to less than 30 %, while its sweep goes on',
    fix: 'A smaller one, or shut the sweep while nobody draws air.',
    source: 'common practice',
    finds: (line) =>
      line.of('membrane').flatMap((s) => {
        const { average } = peakThrough(line, s);
        if (s.parameters.sweepOff === 'yes' || average >= SWEEP_WASTED_BELOW * s.parameters.ratedFlowM3PerS) return [];
        return [
          at(
            s,
            `Most of the sweep of ${s.name} is wasted.`,
            (say) =>
              `It blows ${say(s.parameters.sweepShare * s.parameters.ratedFlowM3PerS, 'volumeFlow')} all day for ${say(average, 'volumeFlow')} of use.`,
            set('Shut the sweep while nobody draws air', s, { sweepOff: 'yes' }),
          ),
        ];
      }),
  },
  {
    id: 'O24',
    grade: 'must',
    when: 'use, leaks and purge together above what the compressors deliver',
    fix: 'More supply, a dryer that purges less, or fix the leaks.',
    source: 'balance of this line',
    finds: (line) => {
      const { leftM3PerS, lostM3PerS, usedM3PerS, deliveredM3PerS, fallsToPa } = line.balance;
      if (fallsToPa === undefined) return [];
      return [
        ofLine(
          (say) => `Supply is short of demand: ${say(-leftM3PerS, 'volumeFlow')} short.`,
          (say) =>
            `Jobs take ${say(usedM3PerS, 'volumeFlow')}, purge, leaks and drains ${say(lostM3PerS, 'volumeFlow')}; the compressors deliver ${say(deliveredM3PerS, 'volumeFlow')}. The pressure falls to about ${say(fallsToPa, 'pressure')}${line.of(...DRYERS).length > 0 ? ', and the dryer gets worse' : ''}.${stillShort(
              line,
              -leftM3PerS,
            )
              .map(({ name, shortM3PerS }) =>
                shortM3PerS > 0
                  ? ` Without ${name} it is still ${say(shortM3PerS, 'volumeFlow')} short.`
                  : ` Without ${name} it is enough.`,
              )
              .join('')}`,
          ...line
            .of('twin-tower')
            .filter((s) => s.parameters.control === 'fixed')
            .map((s) => set(`Switch the purge of ${s.name} by its dew point`, s, { control: 'dew-point' })),
        ),
      ];
    },
  },
  {
    id: 'O25',
    grade: 'should',
    when: 'purge set for a pressure more than 10 psi (0.7 bar) from the one that arrives',
    fix: 'Reset the nozzle or the valve.',
    source: 'common practice',
    finds: (line) =>
      line.of('twin-tower').flatMap((s) => {
        const arrives = line.inlet(s)?.pressurePa ?? s.parameters.purgeSetPa;
        if (Math.abs(arrives - s.parameters.purgeSetPa) <= PURGE_APART_PA) return [];
        return [
          at(
            s,
            (say) =>
              `The purge of ${s.name} is set for ${say(s.parameters.purgeSetPa, 'pressure')}; you run at ${say(arrives, 'pressure')}.`,
            arrives > s.parameters.purgeSetPa
              ? 'It uses more purge air than needed.'
              : 'The purge is too small to regenerate the beads.',
            set('Set it for this pressure', s, { purgeSetPa: arrives }),
          ),
        ];
      }),
  },
];
