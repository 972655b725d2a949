/** Names by which this server may be called, besides those of this machine; separated by commas in COOL_DRAM_HOSTS. */
const hostsOf = (configured: string | undefined): readonly string[] => [
  '127.0.0.1',
  'localhost',
  '[::1]',
  ...(configured ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean),
];

const READS = ['GET', 'HEAD', 'OPTIONS'];

/** What of a request tells who makes it. */
export interface Caller {
  readonly method: string;
  readonly headers: Pick<Headers, 'get'>;
}

/**
 * Why a request is refused before anything else is done with it, or nothing where it may go on.
 *
 * A name that is not ours was pointed at this machine by somebody else (DNS rebinding). A writing request that a browser
 * makes for a page of another origin says so in Sec-Fetch-Site or Origin; what is no browser sends neither.
 * @param configured names of COOL_DRAM_HOSTS
 * @source OWASP, cross-site request forgery prevention: Fetch Metadata and verifying the origin (recalled)
 */
export function refusalOf(
  { method, headers }: Caller,
  configured: string | undefined = process.env.COOL_DRAM_HOSTS,
): string | undefined {
  const host = headers.get('host')?.toLowerCase() ?? '';
  if (!hostsOf(configured).includes(host.replace(/:\d+$/, '')))
    return 'This server is not called by that name. Names besides 127.0.0.1 and localhost are given in COOL_DRAM_HOSTS.';
  if (READS.includes(method)) return undefined;
  const site = headers.get('sec-fetch-site');
  const origin = headers.get('origin');
  const isOwn =
    (site === null || site === 'same-origin' || site === 'none') &&
    (origin === null || origin.toLowerCase().replace(/^https?:\/\//, '') === host);
  return isOwn ? undefined : 'A page of another origin may not write here.';
}
