import { CASE_KINDS } from '@/core/practice/case';
import type { Played } from '@/core/practice/spacing';
import { saveFile } from '@/ui/primitives/save-file';

/** Results for whoever teaches: a row for each case that was played. */
export function saveResults(played: readonly Played[]): void {
  const rows = played.map((p) =>
    [p.at, CASE_KINDS[p.kind], p.seed, p.score.toFixed(3), p.ratio?.toFixed(3) ?? ''].join(','),
  );
  saveFile(
    `${['played at', 'kind', 'case', 'score', 'guess over truth'].join(',')}\r\n${rows.join('\r\n')}\r\n`,
    'text/csv',
    'practice',
    'csv',
  );
}
