import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { database } from '../db/client';
import { photos, plans } from '../db/schema';
import { RequestRefused } from './errors';
import { permitted, type Who } from './people/may';
import { pictureMadeAnew } from './picture-made-anew';
import { checkedId, noSuchPlan } from './plan-id';
import { readBody } from './respond';
import { inTransaction } from './transaction';

const MOST_BYTES = 1_500_000; // the browser makes it small before it sends it

/** A photo as it was sent, or a refusal where it is too large. */
export const readPhotoBody = (request: Request): Promise<Buffer> =>
  readBody(request, MOST_BYTES, 'The photo is larger than 1.5 MB. Send it from the page: it is made smaller there.');

/** Keeps a photo. Sent again under its id it is one photo. */
export async function keepAPhoto(who: Who, planId: string, photoId: string, request: Request): Promise<{ id: string }> {
  const [ofPlan, id] = [await permitted(who, 'log', planId), checkedId('photoId', photoId)];
  const sent = await readPhotoBody(request);
  const digest = createHash('sha256').update(sent).digest('hex');
  const jpeg = await pictureMadeAnew(sent);
  return inTransaction(async (tx) => {
    const [plan] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, ofPlan));
    if (!plan) throw noSuchPlan();
    const [there] = await tx.select().from(photos).where(eq(photos.id, id));
    const isSame = there?.planId === ofPlan && (there.digest ? there.digest === digest : there.jpeg.equals(sent));
    if (there && !isSame)
      throw new RequestRefused(409, 'conflict', 'Another photo has this id already.', [
        { field: 'photoId', message: 'Already used.' },
      ]);
    if (!there) await tx.insert(photos).values({ id, planId: ofPlan, jpeg, digest });
    return { id };
  });
}

export async function readPhoto(who: Who, planId: string, photoId: string): Promise<Buffer> {
  const [row] = await database()
    .select()
    .from(photos)
    .where(and(eq(photos.id, checkedId('photoId', photoId)), eq(photos.planId, await permitted(who, 'read', planId))));
  if (!row) throw new RequestRefused(404, 'not-found', 'There is no such photo.');
  return row.jpeg;
}
