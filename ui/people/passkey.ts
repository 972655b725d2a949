import { type Sent, send } from '@/ui/forms/send';

/** Whether this browser keeps passkeys for this server: for a name, not for a number of the network. */
export const keepsPasskeys = (): boolean =>
  typeof PublicKeyCredential !== 'undefined' && !/^[\d.]+$|^\[/.test(location.hostname);

const STOPPED = { refused: { message: 'No passkey was used.', issues: [] } };

/** Has the browser do its part of a passkey, and sends what it made. The library for it is fetched when it is used. */
async function withBrowser(
  begin: string,
  end: string,
  work: (browser: typeof import('@simplewebauthn/browser'), options: never) => Promise<unknown>,
): Promise<Sent<unknown>> {
  const begun = await send<never>('POST', begin);
  if ('refused' in begun) return begun;
  const browser = await import('@simplewebauthn/browser');
  const response = await work(browser, begun.body).catch(() => undefined);
  return response ? send('POST', end, { response }) : STOPPED;
}

/** Signs somebody in with a passkey of this browser. */
export const signInWithPasskey = (): Promise<Sent<unknown>> =>
  withBrowser('/api/sign-in/passkey/begin', '/api/sign-in/passkey', (browser, optionsJSON) =>
    browser.startAuthentication({ optionsJSON }),
  );

/** Makes a passkey for whoever is signed in. */
export const makePasskey = (): Promise<Sent<unknown>> =>
  withBrowser('/api/passkeys/begin', '/api/passkeys', (browser, optionsJSON) =>
    browser.startRegistration({ optionsJSON }),
  );
