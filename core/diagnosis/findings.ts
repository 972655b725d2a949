import { CHILLED, COOLERS, DRYERS, is } from '../equipment/groups';
import { verdictOfReading } from '../log/expect-reading';
import type { LoggedEntry } from '../log/log-entry';
import { READINGS, type ReadingName } from '../log/readings';
import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import type { Symptom } from './symptom';
import { symptomById } from './symptoms';

/** A reading outside its band, or a complaint: what it points to, in the order of what is likely. */
export interface OutOfBand {
  readonly entryId: string;
  readonly stageId: string;
  readonly title: string;
  readonly reading?: { readonly of: ReadingName; readonly value: number; readonly low: number; readonly high: number };
  readonly symptom: Symptom | undefined;
}

/** The symptom that a reading outside its band shows. */
function symptomOf(plan: Plan, stageId: string, of: ReadingName, more: boolean): string | undefined {
  const stage = stageById(plan, stageId);
  if (!stage) return undefined;
  const { kind } = stage;
  if (of === 'dew-point' && more) {
    if (is(CHILLED, kind)) return 'D19';
    if (kind === 'bead-cartridge') return 'D25';
    if (is(DRYERS, kind)) return 'D22';
    return 'D05';
  }
  if (of === 'humidity' && more) return 'D01';
  if (of === 'temperature' && more && is(COOLERS, kind)) return 'D18';
  if (of === 'temperature' && more) return 'D02';
  if (of === 'pressure-flowing' && !more) return kind === 'receiver' ? 'D14' : 'D13';
  if (of === 'pressure-drop' && !more) return 'D08';
  if (of === 'pressure-drop' && more) return 'D13';
  if (of === 'spent' && more) return 'D25';
  if (of === 'oil-content' && more) return 'D35';
  return undefined;
}

/**
 * What an entry makes one look into: readings outside their band, a bad result, a complaint.
 * @example findingsOf(plan, { ...entry, kind: 'reading', readings: [{ of: 'pressure-drop', value: 6e4 }], expected: [{ value: 8e3, low: 7e3, high: 1e4 }] }).length // 1
 */
export function findingsOf(plan: Plan, entry: LoggedEntry): OutOfBand[] {
  const name = stageById(plan, entry.stageId)?.name ?? entry.stageName;
  const out = entry.readings.flatMap((r, i): OutOfBand[] => {
    const expected = entry.expected[i];
    if (!expected) return [];
    const verdict = verdictOfReading(r.value, expected);
    if (verdict === 'as expected') return [];
    return [
      {
        entryId: entry.id,
        stageId: entry.stageId,
        title: `${name}: ${READINGS[r.of].label.toLowerCase()} ${verdict === 'more' ? 'higher' : 'lower'} than expected`,
        reading: { of: r.of, value: r.value, low: expected.low, high: expected.high },
        symptom: symptomById(symptomOf(plan, entry.stageId, r.of, verdict === 'more') ?? null),
      },
    ];
  });
  if (entry.kind === 'complaint')
    out.push({
      entryId: entry.id,
      stageId: entry.stageId,
      title: `${name}: ${symptomById(entry.symptom)?.says.toLowerCase() ?? entry.what}`,
      symptom: symptomById(entry.symptom),
    });
  else if (entry.result === 'not-ok' && out.length === 0)
    out.push({
      entryId: entry.id,
      stageId: entry.stageId,
      title: `${name}: ${entry.what || 'not as it should be'}`,
      symptom: undefined,
    });
  return out;
}
