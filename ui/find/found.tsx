import { type Believed, NOTHING } from '@/core/diagnosis/finding/cause';
import { kindOf } from '@/core/equipment/index';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Headline } from '@/ui/primitives/figures';
import { KeepBar } from './keep-bar';
import type { KeptRecord } from './use-record';

/** The end: the cause, its repair, what proves it, what not to buy, and the entries that close the complaint. */
export function Found({
  believed: { cause, probability },
  found,
  proof,
  record,
  onClose,
}: {
  believed: Believed;
  /** Surely; otherwise the likeliest of what is left. */
  found: boolean;
  /** The reading that is taken again after the repair. */
  proof: string | undefined;
  record: KeptRecord;
  onClose: (who: string) => Promise<void>;
}) {
  const { plan } = usePlan();
  const stage = stageById(plan, cause.stageId ?? '');
  const needless = (cause.pair ?? [cause]).flatMap((c) => c.fault?.notNeeded ?? []);
  const { repair } = cause;
  return (
    <section aria-label="Found" aria-live="polite" className="grid gap-2 border-l-4 border-water pl-4">
      <Headline then={`${Math.round(probability * 100)} %`}>
        {found ? '✓' : '◆'} {cause.says}
      </Headline>
      {cause.id === NOTHING.id ? (
        <p>
          The line reads as it should. Look at the surface, the room, the tool and the gauge. Not needed: a filter or a
          dryer for it.
        </p>
      ) : (
        <p>
          <strong>{repair}.</strong>
        </p>
      )}
      {needless.length > 0 && <p>Not needed: {needless.join(' ')}</p>}
      {repair && proof && <p className="text-quiet">Proof after the repair: {proof}, read again.</p>}
      {repair && <Cautions ids={[...new Set(['C07', ...(stage ? kindOf(stage.kind).cautions : [])])]} />}
      <KeepBar
        record={record}
        actions={[
          { says: 'Log what was found', act: onClose },
          ...(repair && cause.stageId
            ? [
                {
                  says: 'Log the repair',
                  act: (who: string) =>
                    record.repaired(who, cause.stageId ?? '', `${repair}.${proof ? ` Proof: ${proof}.` : ''}`),
                },
              ]
            : []),
        ]}
      />
    </section>
  );
}
