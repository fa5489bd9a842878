import { imageSize } from 'image-size';
import { badField } from '../errors/api-error.js';

const MEDIA_TYPES: Readonly<Record<string, string>> = {
  jpg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};
const MOST_PIXELS_A_SIDE = 12_000;

/** The body as it came. @throws 400 where it is no picture's */
export function requireBytes(body: unknown): Buffer {
  if (!Buffer.isBuffer(body) || body.length === 0)
    throw badField('photo', 'Send the picture itself as the body, with an image type.');
  return body;
}

/** What a picture is by its own bytes, whatever it calls itself. @throws 400 where it is none */
export function pictureType(body: unknown): string {
  const bytes = requireBytes(body);
  const found = (() => {
    try {
      return imageSize(bytes);
    } catch {
      return null;
    }
  })();
  const mediaType = MEDIA_TYPES[found?.type ?? ''];
  if (!found || !mediaType)
    throw badField('photo', 'This is not a picture that can be kept: JPEG, PNG or WebP.');
  if (Math.max(found.width, found.height) > MOST_PIXELS_A_SIDE)
    throw badField('photo', `The picture has more than ${MOST_PIXELS_A_SIDE} pixels a side.`);
  return mediaType;
}
