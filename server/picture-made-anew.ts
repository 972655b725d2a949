import sharp from 'sharp';
import { RequestRefused } from './errors';

const MOST_PIXELS = 25e6;
const LONGEST_PX = 1600;
const QUALITY = 80;
const MOST_S = 10;

/**
 * A picture decoded and made anew: whatever else was in the file, the place where it was taken or a script, is gone.
 * @throws RequestRefused where it is no JPEG picture, or more than may be
 */
export async function pictureMadeAnew(sent: Buffer): Promise<Buffer> {
  try {
    const picture = sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).timeout({ seconds: MOST_S });
    if ((await picture.metadata()).format !== 'jpeg') throw new Error('no JPEG');
    const most = { width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true } as const;
    return await picture.autoOrient().resize(most).jpeg({ quality: QUALITY }).toBuffer();
  } catch {
    const message = `That is no JPEG picture of at most ${MOST_PIXELS / 1e6} million pixels.`;
    throw new RequestRefused(422, 'invalid', message, [{ field: '(body)', message: 'No such picture.' }]);
  }
}
