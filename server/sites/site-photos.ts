import { createHash } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import { database } from '../../db/client';
import { sites } from '../../db/people';
import { sitePhotos } from '../../db/schema';
import { RequestRefused } from '../errors';
import { readPhotoBody } from '../keep-a-photo';
import { note } from '../people/audit';
import { permittedSite, type Who } from '../people/may';
import { pictureMadeAnew } from '../picture-made-anew';
import { checkedId } from '../plan-id';
import { inTransaction } from '../transaction';

const MOST = 12;

/** Keeps a photo of a site. Sent again under its id it is one photo. */
export async function keepSitePhoto(
  who: Who,
  siteId: string,
  photoId: string,
  request: Request,
): Promise<{ id: string }> {
  const [site, id] = [await permittedSite(who, 'log', siteId), checkedId('photoId', photoId)];
  const sent = await readPhotoBody(request);
  const digest = createHash('sha256').update(sent).digest('hex');
  const jpeg = await pictureMadeAnew(sent);
  return inTransaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const [there] = await tx
      .select({ siteId: sitePhotos.siteId, digest: sitePhotos.digest })
      .from(sitePhotos)
      .where(eq(sitePhotos.id, id));
    if (there?.siteId === site && there.digest === digest) return { id };
    if (there)
      throw new RequestRefused(409, 'conflict', 'Another photo has this id already.', [
        { field: 'photoId', message: 'Already used.' },
      ]);
    if ((await tx.$count(sitePhotos, eq(sitePhotos.siteId, site))) >= MOST)
      throw new RequestRefused(409, 'conflict', `A site has at most ${MOST} photos. Remove one first.`);
    await tx.insert(sitePhotos).values({ id, siteId: site, jpeg, digest });
    await note(tx, who, { siteId: site, about: 'Photos of the site', says: ['New photo.'] });
    return { id };
  });
}

const ownPhoto = (siteId: string, photoId: string) =>
  and(eq(sitePhotos.siteId, siteId), eq(sitePhotos.id, checkedId('photoId', photoId)));

function noSuchPhoto(): RequestRefused {
  return new RequestRefused(404, 'not-found', 'There is no such photo.', [{ field: 'photoId', message: 'Unknown.' }]);
}

export async function readSitePhoto(who: Who, siteId: string, photoId: string): Promise<Buffer> {
  const [row] = await database()
    .select({ jpeg: sitePhotos.jpeg })
    .from(sitePhotos)
    .where(ownPhoto(await permittedSite(who, 'read', siteId), photoId));
  if (!row) throw noSuchPhoto();
  return row.jpeg;
}

/** Removes a photo of a site for good. */
export async function removeSitePhoto(who: Who, siteId: string, photoId: string): Promise<{ id: string }> {
  const site = await permittedSite(who, 'people', siteId);
  const [done] = await database().delete(sitePhotos).where(ownPhoto(site, photoId));
  if (done.affectedRows === 0) throw noSuchPhoto();
  await note(database(), who, { siteId: site, about: 'Photos of the site', says: ['Photo removed.'] });
  return { id: photoId };
}

/** The ids of the photos of a site that may be read, the oldest first. */
export const sitePhotosOf = async (siteId: string): Promise<string[]> =>
  (
    await database()
      .select({ id: sitePhotos.id })
      .from(sitePhotos)
      .where(eq(sitePhotos.siteId, siteId))
      .orderBy(asc(sitePhotos.at))
  ).map((p) => p.id);
