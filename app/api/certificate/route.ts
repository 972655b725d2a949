import { respondToAnybodyAs } from '@/server/respond';
import { readAuthority } from '@/server/share/authority';

export const dynamic = 'force-dynamic';

/** The authority that phones are told to trust once. */
export function GET(): Promise<Response> {
  return respondToAnybodyAs('application/x-x509-ca-cert', readAuthority, 'cool-dram.crt');
}
