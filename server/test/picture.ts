import sharp from 'sharp';

/** A small JPEG picture, another one for another text, with the place where it was taken in it. */
export const pictureOf = (text: string, px = 64): Promise<Buffer> =>
  sharp({ create: { width: px, height: px / 2, channels: 3, background: `hsl(${text.length * 40}, 80%, 50%)` } })
    .withExif({ IFD0: { ImageDescription: text }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .jpeg()
    .toBuffer();
