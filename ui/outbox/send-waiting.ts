import { whyUnsaved } from '../plan/why-unsaved';
import { everything, isOf, isPostponed, type Refusal, setApart, takeOut, type Waiting, withoutPhoto } from './outbox';

/** What became of something: acknowledged, or set apart. */
export interface Sent {
  readonly one: Pick<Waiting, 'id' | 'planId' | 'to' | 'body'>;
  readonly refused?: Refusal;
}
interface Told {
  readonly error?: { readonly code?: string; readonly message?: string; readonly issues?: Refusal['issues'] };
}

const TIMEOUT_MS = 10_000;

const send = ({ planId, to, body, by }: Waiting): Promise<Response | undefined> =>
  fetch(`/api/plans/${planId}/${to}`, {
    method: body instanceof Blob ? 'PUT' : 'POST',
    headers: {
      'content-type': body instanceof Blob ? 'image/jpeg' : 'application/json',
      ...(by && { 'x-written-by': by.id }),
    },
    body: body instanceof Blob ? body : JSON.stringify(body),
    signal: AbortSignal.timeout(TIMEOUT_MS),
  }).catch(() => undefined);

/** Only one page, or the service worker, sends at a time. Where there are no locks, the server knows each entry by its id. */
const oneAtATime = <T>(work: () => Promise<T>): Promise<T> =>
  navigator.locks ? navigator.locks.request('cool-dram.outbox', work) : work();

/**
 * Sends what waits, one after another in the order in which it was put in. What the server refuses is set apart; where a
 * line or a role is gone, the rest of that line waits; without an answer everything does.
 * @param ownId who is signed in
 * @param tell is told of each that was acknowledged or refused
 * @returns why something still waits, by line
 */
export const sendWaiting = (
  ownId: string | undefined,
  tell: (sent: Sent) => void,
): Promise<ReadonlyMap<string, string>> =>
  oneAtATime(async () => {
    const delayed = new Map<string, string>();
    const tried = new Set<string>();
    for (;;) {
      const all = (await everything()).filter((one) => !one.refused);
      const left = all.filter((one) => isOf(one, ownId) && !tried.has(one.id) && !delayed.has(one.planId));
      const [next] = left;
      if (!next) {
        for (const { planId, by } of all.filter((one) => !isOf(one, ownId) && !delayed.has(one.planId)))
          delayed.set(planId, `${by?.name} has to sign in, who wrote it`);
        return delayed;
      }
      tried.add(next.id);
      const answer = await send(next);
      const told = answer?.ok ? undefined : ((await answer?.json().catch(() => undefined)) as Told | undefined);
      if (!answer || isPostponed(answer.status)) {
        const ofThisLine = answer?.status === 403 || answer?.status === 404;
        for (const one of ofThisLine ? [next] : left) delayed.set(one.planId, whyUnsaved(told));
        continue;
      }
      if (answer.ok) {
        await takeOut(next.id);
        tell({ one: next });
        continue;
      }
      if (next.to.startsWith('photos/')) await withoutPhoto(next.planId, next.to.slice('photos/'.length));
      const refused = { message: told?.error?.message ?? 'It was refused.', issues: told?.error?.issues ?? [] };
      await setApart(next, refused);
      tell({ one: next, refused });
    }
  });
