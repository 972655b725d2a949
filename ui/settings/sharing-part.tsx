'use client';

import { QrCode, useAddress } from '@/ui/primitives/qr-code';
import { Copyable } from './copyable';
import { TrustSteps } from './trust-steps';

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
              <TrustSteps />
            </>
          )}
        </div>
      </div>
    </section>
  );
}
