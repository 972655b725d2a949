'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { sayKept } from '@/core/quantity/kept-figure';
import { send } from '@/ui/forms/send';
import { Moment } from '@/ui/units/moment';
import { useUnits } from '@/ui/units/units';

export interface Proposal {
  readonly id: string;
  readonly who: string;
  readonly at: string;
  readonly note: string;
  readonly state: 'open' | 'accepted' | 'declined' | 'withdrawn';
  readonly decidedBy: string | null;
  readonly decidedAt: string | null;
  readonly says: readonly string[];
  readonly clashes: number;
  readonly fits: boolean;
  readonly isOwn: boolean;
}

export interface ProposalList {
  /** The version of the line with which they were joined. */
  readonly rowVersion: number;
  readonly list: readonly Proposal[];
}

/** What others propose to change in the line: accepted or declined by who may change it, withdrawn by who made it. */
export function Proposals({
  planId,
  proposals: { rowVersion, list },
  decides,
}: {
  planId: string;
  proposals: ProposalList;
  decides: boolean;
}) {
  const { say } = useUnits();
  const router = useRouter();
  const decide = async (id: string, state: 'accepted' | 'declined' | 'withdrawn'): Promise<void> => {
    const answer = await send('PATCH', `/api/plans/${planId}/proposals/${id}`, {
      state,
      ...(state === 'accepted' && { rowVersion }),
    });
    if ('refused' in answer) toast(answer.refused.message);
    // Anew, so that every page shows the line as it is now.
    if (state === 'accepted' && !('refused' in answer)) location.reload();
    else router.refresh();
  };
  return (
    <section id="proposals" aria-label="Proposals" className="grid scroll-mt-16 gap-2">
      <h2>Proposals</h2>
      <ul className="border-t border-hairline">
        {list.map((p) => (
          <li key={p.id} className="grid gap-x-6 gap-y-1 border-b border-hairline py-3 sm:grid-cols-[1fr_auto]">
            <div className="min-w-0">
              <p>
                <strong>{p.note}</strong>{' '}
                <span className="text-quiet">
                  {p.who}, <Moment at={p.at} />
                </span>
              </p>
              <ul className="list-disc pl-5">
                {p.says.map((text) => (
                  <li key={text}>{sayKept(text, say)}</li>
                ))}
              </ul>
              {p.state === 'open' && p.clashes > 0 && (
                <p className="text-amber">
                  ◆ The line was changed since in{' '}
                  {p.clashes === 1 ? 'one of these places' : `${p.clashes} of these places`}; the proposal would replace
                  that.
                </p>
              )}
              {p.state === 'open' && !p.fits && (
                <p className="text-brick">▲ The line was changed since so that it does not fit any more.</p>
              )}
            </div>
            <div className="flex flex-wrap items-start gap-2">
              {p.state === 'open' ? (
                <>
                  {decides && p.fits && (
                    <button
                      type="button"
                      className="button button-strong"
                      onClick={() => void decide(p.id, 'accepted')}
                    >
                      Accept
                    </button>
                  )}
                  {decides && (
                    <button type="button" className="button" onClick={() => void decide(p.id, 'declined')}>
                      Decline
                    </button>
                  )}
                  {p.isOwn && (
                    <button type="button" className="button" onClick={() => void decide(p.id, 'withdrawn')}>
                      Withdraw
                    </button>
                  )}
                  {!decides && !p.isOwn && <span className="text-quiet">waits for a planner</span>}
                </>
              ) : (
                <span className="text-quiet">
                  {p.state}
                  {p.state !== 'withdrawn' && ` by ${p.decidedBy}`}
                  {p.decidedAt && (
                    <>
                      , <Moment at={p.decidedAt} />
                    </>
                  )}
                </span>
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
