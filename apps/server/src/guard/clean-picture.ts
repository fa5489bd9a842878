import { badField } from '../errors/api-error.js';

/** As the phone makes them smaller itself: enough to see a swirl by, and no more to keep. */
const LONGEST_SIDE = 1600;
const QUALITY = 85;
/** A small file can hold a picture that fills the memory; no phone takes one of so many points. */
const MOST_PIXELS = 60_000_000;
const MOST_SECONDS = 10;

const FORMATS: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp']);

/** A picture as it is kept. */
export interface CleanPicture {
  readonly mediaType: string;
  readonly bytes: Buffer;
}

/** The body as it came. @throws 400 where it is no picture's */
function requireBytes(body: unknown): Buffer {
  if (!Buffer.isBuffer(body) || body.length === 0)
    throw badField('photo', 'Send the picture itself as the body, with an image type.');
  return body;
}

/** Opened with the first picture: most days there is none, and it takes memory. */
const opened = async () => (await import('sharp')).default;

async function requirePicture(bytes: Buffer): Promise<void> {
  const sharp = await opened();
  const found = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  if (!found || !FORMATS.has(found.format))
    throw badField('photo', 'This is not a picture that can be kept: JPEG, PNG or WebP.');
  if (found.width * found.height > MOST_PIXELS)
    throw badField(
      'photo',
      `The picture has ${found.width} × ${found.height} points; up to ${MOST_PIXELS / 1e6} million can be kept.`,
    );
}

/**
 * A picture drawn again from what was sent: upright, no larger than it is looked at, and without all that a camera writes beside it, such
 * as where it was taken. It is read outside the thread that answers, and given up after some seconds.
 *
 * @throws 400 where it is none that can be read, or one of too many points
 */
export async function cleanPicture(body: unknown): Promise<CleanPicture> {
  const bytes = requireBytes(body);
  await requirePicture(bytes);
  const sharp = await opened();
  try {
    const drawn = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .timeout({ seconds: MOST_SECONDS })
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer();
    return { mediaType: 'image/jpeg', bytes: drawn };
  } catch {
    throw badField(
      'photo',
      'The picture is broken off or takes too long to read, so nothing was kept of it.',
    );
  }
}
