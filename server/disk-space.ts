import { statfs } from 'node:fs/promises';

/** Under this the screen and the terminal say so: a backup and a day of photos still fit. */
export const DISK_LOW_BYTES = 500e6;

/** Free bytes on the disk of this installation's data, or nothing where that cannot be told. */
export async function freeDiskBytes(place = process.env.COOL_DRAM_DATA ?? '.'): Promise<number | undefined> {
  const disk = await statfs(place).catch(() => undefined);
  return disk && disk.bavail * disk.bsize;
}

/** The same where it is too little, else nothing. */
export async function lowDiskBytes(free = freeDiskBytes()): Promise<number | undefined> {
  const bytes = await free;
  return bytes !== undefined && bytes < DISK_LOW_BYTES ? bytes : undefined;
}

/** Under this bin/start does not start the database (bin/lib/machine.sh). */
const DISK_FULL_BYTES = 50e6;

/** Whether the database stands still for want of room. */
export async function isDiskFull(free = freeDiskBytes()): Promise<boolean> {
  return ((await free) ?? Number.POSITIVE_INFINITY) < DISK_FULL_BYTES;
}
