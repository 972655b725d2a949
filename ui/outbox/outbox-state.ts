'use client';

import { create } from 'zustand';
import { everything, type Outgoing, putOut, takeOut, type Waiting } from './outbox';
import { CHANNEL } from './outbox-channel';
import { type Sent, sendWaiting } from './send-waiting';

/** What the pages of this device have still to send, and why it waits, by line. */
export const useOutbox = create<{
  items: readonly Waiting[];
  /** How many are just being put in, by line: they are not sent either. */
  entering: ReadonlyMap<string, number>;
  delayed: ReadonlyMap<string, string>;
}>(() => ({ items: [], entering: new Map(), delayed: new Map() }));

const enter = (planId: string, more: number): void =>
  useOutbox.setState(({ entering }) => ({
    entering: new Map(entering).set(planId, (entering.get(planId) ?? 0) + more),
  }));

const RETRY_MS = 2500;

let ownId: string | undefined;
let busy: Promise<void> | undefined;
let again = false;
let timer: ReturnType<typeof setTimeout> | undefined;
let channel: BroadcastChannel | undefined;
const listeners = new Set<(sent: Sent) => void>();

/** Tells of each that was acknowledged or refused, whichever page sent it. */
export function onSent(listener: (sent: Sent) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const refresh = async (): Promise<void> => useOutbox.setState({ items: await everything() });

function tell(sent: Sent): void {
  for (const listener of listeners) listener(sent);
  const { id, planId, to, body } = sent.one;
  channel?.postMessage({ ...sent, one: { id, planId, to, body: body instanceof Blob ? null : body } });
}

/** Sends what waits, and again later what could not be sent. */
export function sendNow(): Promise<void> {
  clearTimeout(timer);
  again = true;
  busy ??= (async () => {
    while (again) {
      again = false;
      await refresh();
      const delayed = await sendWaiting(ownId, (sent) => {
        tell(sent);
        void refresh();
      });
      await refresh();
      useOutbox.setState({ delayed });
    }
    busy = undefined;
    if (useOutbox.getState().delayed.size > 0) timer = setTimeout(() => void sendNow(), RETRY_MS);
  })();
  return busy;
}

/** Has the service worker send what waits once the network is back, also when no page is open any more. Where browsers can. */
const sendWithoutPage = (): void =>
  void navigator.serviceWorker
    ?.getRegistration()
    .then((r) => (r as { sync?: { register(tag: string): Promise<void> } } | undefined)?.sync?.register('outbox'))
    .catch(() => undefined);

/** Puts something in and begins to send it. */
export async function put(planId: string, ...outgoing: readonly Outgoing[]): Promise<void> {
  void navigator.storage?.persist?.(); // or the browser may throw it away when its disk is full
  enter(planId, outgoing.length);
  await putOut(planId, ...outgoing);
  await refresh();
  enter(planId, -outgoing.length);
  channel?.postMessage('changed');
  sendWithoutPage();
  void sendNow();
}

/** Throws one away for good. */
export async function discard(id: string): Promise<void> {
  await takeOut(id);
  await refresh();
  channel?.postMessage('changed');
}

/** Starts sending in this page, as whoever is signed in. @returns what ends it */
export function startSending(signedIn: string | undefined): () => void {
  ownId = signedIn;
  channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }) => {
    void refresh();
    if (data !== 'changed') for (const listener of listeners) listener(data as Sent);
  };
  const now = (): void => void sendNow();
  window.addEventListener('online', now);
  document.addEventListener('visibilitychange', now);
  now();
  return () => {
    clearTimeout(timer);
    window.removeEventListener('online', now);
    document.removeEventListener('visibilitychange', now);
    channel?.close();
    channel = undefined;
  };
}
