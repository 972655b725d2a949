import { RequestRefused } from '../errors';

/** Whether several people use this server, each with an account; otherwise it is one person's, and nobody signs in. */
export const isShared = (): boolean => process.env.COOL_DRAM_SHARE === '1';

export function onlyWhereShared(): void {
  if (!isShared()) throw new RequestRefused(404, 'not-found', 'Nobody signs in here: this server is one person’s.');
}
