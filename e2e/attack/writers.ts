import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';

/** What a server said was stored: where it is read again, and what has to be there. */
export interface Acknowledged {
  readonly path: string;
  readonly id: string;
  readonly what: string;
}

const kinds = ['entries', 'drains', 'charges', 'revisions'] as const;
type Kind = (typeof kinds)[number];

function bodyOf(kind: Kind, id: string, what: string, plan: object): object {
  switch (kind) {
    case 'entries':
      return { id, kind: 'observation', stageId: '', measuredAt: '2026-11-20T08:00', who: 'attack', what };
    case 'drains':
      return {
        id,
        stageId: 'receiver',
        drainedAt: '2026-11-20T16:00',
        sinceAt: '2026-11-19T16:00',
        amountM3: 1e-4,
        appearance: 'clear',
        who: 'attack',
        note: what,
        loadedHours: null,
        intakeTemperatureC: 20,
        intakeRelativeHumidity: 0.5,
      };
    case 'charges':
      return { id, name: what, medium: 'silica', massKg: 2, boughtAt: '2026-11-01T08:00' };
    case 'revisions':
      return { id, name: what, plan };
  }
}

/**
 * Writes one thing after another, as a browser does: under an id of its own, again and again until it is acknowledged.
 * Anything but an answer, or “not now” (503; 502 and 504 of a proxy), is written down as wrong.
 */
export class Writers {
  readonly acknowledged: Acknowledged[] = [];
  readonly wrong: string[] = [];
  tries = 0;
  private going = true;
  private readonly running: Promise<void>[] = [];

  constructor(
    private readonly url: string,
    private readonly planId: string,
    private readonly plan: object,
  ) {}

  begin(count: number): void {
    for (let i = 0; i < count; i++) this.running.push(this.write());
  }

  async end(): Promise<void> {
    this.going = false;
    await Promise.all(this.running);
  }

  private async write(): Promise<void> {
    for (let n = 0; this.going; n++) {
      // A line keeps at most 200 revisions: they are one in twenty, and few enough.
      const kind: Kind = n % 20 === 0 && this.acknowledged.length < 1500 ? 'revisions' : (kinds[n % 3] as Kind);
      const [id, what] = [randomUUID(), `n${n}-${randomUUID().slice(0, 8)}`];
      const path = `/api/plans/${this.planId}/${kind}`;
      const body = JSON.stringify(bodyOf(kind, id, what, this.plan));
      for (;;) {
        this.tries++;
        const answer = await fetch(this.url + path, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body,
          signal: AbortSignal.timeout(5000),
        }).catch(() => undefined);
        if (answer?.ok) {
          this.acknowledged.push({ path, id, what });
          break;
        }
        if (answer && ![502, 503, 504].includes(answer.status)) {
          this.wrong.push(`${answer.status} ${path} ${(await answer.text()).slice(0, 200)}`);
          break;
        }
        if (!this.going) return; // never acknowledged: it may be there or not
        await pause(100);
      }
    }
  }
}
