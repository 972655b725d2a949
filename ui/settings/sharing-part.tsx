'use client';

import { QrCode, useAddress } from '@/ui/primitives/qr-code';
import { Copyable } from './copyable';

const TRUST = [
  [
    'Android',
    'Settings › Security › Encryption & credentials › Install a certificate › CA certificate. Choose the file.',
  ],
  [
    'iPhone, iPad',
    'Open the file and allow the profile. Settings › General › VPN & Device Management: install it. Then Settings › General › About › Certificate Trust Settings: switch it on.',
  ],
  [
    'Windows',
    'Open the file › Install Certificate › Local Machine › Place all certificates in the following store › Trusted Root Certification Authorities.',
  ],
  ['macOS', 'Open the file in Keychain Access. Open its entry › Trust › When using this certificate: Always Trust.'],
] as const;

/** Where others of the network find this server, and how their devices come to trust it. */
export function SharingPart({ address, hasAuthority }: { address: string | undefined; hasAuthority: boolean }) {
  const origin = useAddress(address);
  return (
    <section className="grid gap-3" aria-label="Sharing">
      <h2>Sharing</h2>
      <div className="flex flex-wrap items-start gap-4">
        <QrCode of={origin} alt="The address of this server as a QR code" className="size-44" />
        <div className="grid min-w-0 flex-1 basis-64 gap-2">
          <p>Phones and other machines of this network open</p>
          <Copyable text={origin} />
          {hasAuthority && (
            <>
              <p className="max-w-[60ch] text-quiet">
                Each device warns at first, because it does not know who signed the certificate of this server. Let it
                trust the authority of this installation once. It is used for this server alone, and its key stays in{' '}
                <code>.data/tls</code>.
              </p>
              <p>
                <a className="button" href="/api/certificate" download>
                  Download the certificate
                </a>
              </p>
              {TRUST.map(([device, steps]) => (
                <details key={device} className="border-b border-hairline py-1">
                  <summary className="min-h-6 cursor-pointer font-medium">{device}</summary>
                  <p className="max-w-[60ch] py-1 text-quiet">{steps}</p>
                </details>
              ))}
            </>
          )}
        </div>
      </div>
    </section>
  );
}
