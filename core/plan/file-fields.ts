import { z } from 'zod';

/** What a kept file is. */
export const FILE_TYPES = ['picture', 'pdf'] as const;

/** A picture or a document that is kept beside the plan, by its id. */
export const fileSchema = z.strictObject({
  id: z.uuid(),
  type: z.enum(FILE_TYPES),
  name: z.string().trim().min(1, 'Give it a name.').max(120, 'At most 120 characters.'),
});
export type KeptFile = z.infer<typeof fileSchema>;

/** Files of one thing, or of one step of the assembly. */
export const filesSchema = z.array(fileSchema).max(24, 'At most 24 pictures and documents.');
