import type { Finding, NextCheck } from '@/core/diagnosis/finding/belief';
import type { Believed, Reading } from '@/core/diagnosis/finding/cause';
import { checkKind } from '@/core/diagnosis/finding/checks';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { useSayCheck } from '@/ui/units/say-check';
import { ReadingInput } from './reading-input';

const SHOWN = 3;
/** So many readings are said with what they would mean, and a cause rarer than this is not named. */
const MEANINGS = 4;
const RARE = 0.005;

/** The checks that tell most for the time that they take: how, what each reading would mean, and what was read. */
export function NextChecks({
  finding,
  next,
  believed,
  onRead,
  onCannot,
}: {
  finding: Finding;
  next: readonly NextCheck[];
  believed: readonly Believed[];
  onRead: (reading: Reading) => void;
  onCannot: (checkId: string) => void;
}) {
  if (next.length === 0) return <p className="text-quiet">Nothing is left to check.</p>;
  return (
    <section aria-label="Next checks" className="grid gap-3">
      <h2>Check next</h2>
      {next.slice(0, SHOWN).map((n) => (
        <CheckCard key={n.check.id} {...{ finding, believed, onRead, onCannot }} next={n} />
      ))}
    </section>
  );
}

function CheckCard({
  finding,
  next: { check, bits },
  believed,
  onRead,
  onCannot,
}: {
  finding: Finding;
  next: NextCheck;
  believed: readonly Believed[];
  onRead: (reading: Reading) => void;
  onCannot: (checkId: string) => void;
}) {
  const { plan } = usePlan();
  const say = useSayCheck();
  const kind = checkKind(check.of);
  const stage = stageById(plan, check.stageId);
  // Causes that would read the same stand in one row, the likeliest first.
  const meaning = new Map<string, Believed[]>();
  for (const b of believed.filter((x) => x.probability >= RARE)) {
    const reads = finding.expected(b.cause.id, check.id);
    if (reads.length === 0) continue;
    const [from, to] = [say(Math.min(...reads), check.of), say(Math.max(...reads), check.of)];
    const text = from === to ? from : `${from} to ${to}`;
    meaning.set(text, [...(meaning.get(text) ?? []), b]);
  }
  return (
    <section
      aria-label={`${kind.label}: ${stage?.name}`}
      className="grid gap-2 rounded-md border border-hairline bg-card p-3"
    >
      <h3 className="flex flex-wrap items-baseline gap-x-3 font-semibold">
        {stage?.name}: {kind.label.toLowerCase()}
        <span className="ml-auto font-normal text-quiet">
          {kind.minutes} min{kind.standsMin > 0 && `, the line stands ${kind.standsMin} min`} ·{' '}
          {bits < 0.05 ? 'tells little' : bits < 0.4 ? 'tells something' : 'tells much'}
        </span>
      </h3>
      <p className="text-[0.9rem] text-quiet">{kind.how}</p>
      <dl className="text-[0.9rem]">
        {[...meaning].slice(0, MEANINGS).map(([text, [first, ...others]]) => (
          <div key={text} className="flex justify-between gap-3 border-t border-hairline py-1">
            <dt className="min-w-0 break-words">
              {first?.cause.says}
              {others.length > 0 && <span className="text-quiet"> and {others.length} more</span>}
            </dt>
            <dd className="shrink-0 font-medium">{text}</dd>
          </div>
        ))}
      </dl>
      {kind.cautions.length > 0 && <Cautions ids={kind.cautions} />}
      <ReadingInput check={check} onRead={onRead} onCannot={onCannot} />
    </section>
  );
}
