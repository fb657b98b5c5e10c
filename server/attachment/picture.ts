import sharp from 'sharp';
import { fail, ok, type Result } from '#base/problem';

/** More than a camera of today makes; a picture that unpacks to more is not opened at all. */
export const MOST_PIXELS = 120e6;
/** Long side of the small picture for the log, px. */
const SMALL = 640;

// A photo is looked at beside everything else that the server does.
sharp.concurrency(1);

/** Media types that are kept, as the decoder calls them. */
const FORMATS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpeg', 'image/png': 'png', 'image/webp': 'webp' };

/** Whether the bytes are the picture that they are said to be, and of a size that can be opened: decoded, not guessed. */
export async function pictureCheck(bytes: Buffer, mediaType: string): Promise<Result<true>> {
  try {
    // The header alone is read first: what would unpack to too much is never unpacked.
    const { format, width = 0, height = 0 } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (format !== FORMATS[mediaType])
      return fail('bad-media-type', `The file says it is ${mediaType} but is a picture of another kind.`);
    if (width * height > MOST_PIXELS)
      return fail(
        'too-large',
        `This picture has ${Math.round((width * height) / 1e6)} megapixels; at most ${MOST_PIXELS / 1e6} are kept. Make it smaller first.`,
      );
    // Half a file has a header too.
    await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated' }).stats();
    return ok(true);
  } catch {
    return fail('bad-media-type', `The file says it is ${mediaType} but cannot be opened as one; it may not be whole.`);
  }
}

/** A small one of it for the log, upright, as WebP. */
export function smallPicture(path: string): Promise<Buffer> {
  return sharp(path, { limitInputPixels: MOST_PIXELS })
    .rotate()
    .resize(SMALL, SMALL, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 72 })
    .toBuffer();
}
