import { z } from 'zod';

export const BACKUP_FORMAT = 'cool-dram-backup';
export const BACKUP_VERSION = 1;

const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
/** The name of a table or column goes into statements: letters, digits and underlines only. */
const name = z.string().regex(/^[a-z][a-z0-9_]{0,63}$/);

/** What a backup holds: `manifest.json` in it, beside `tables/*.jsonl` and `photos/*.jpg`. */
export const manifestSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(BACKUP_VERSION),
  madeAt: z.iso.datetime(),
  /** The version of the plan documents in it, as in their JSON Schema. */
  planVersion: z.int().positive(),
  /** The migrations that its tables have had. */
  migrations: z.array(z.string().regex(/^[0-9]{4}_[a-z0-9_]+$/)).min(1),
  tables: z.array(z.strictObject({ name, columns: z.array(name).min(1), rows: z.int().nonnegative(), sha256 })),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** Where the bytes of a row are: each photo is a file of its own, held by its checksum in the row. */
export const bytesSchema = z.strictObject({ file: z.string().regex(/^photos\/[\w-]+\.jpg$/), sha256 });
