import { Injectable } from '@nestjs/common';
import { imageSize } from 'image-size';
import { badField, notFound } from '../errors/api-error.js';
import { WashesService } from '../washes/washes.service.js';
import { type KeptPhoto, RunsRepository } from '../records/runs.repository.js';

const MEDIA_TYPES: Readonly<Record<string, string>> = {
  jpg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};
const MOST_PIXELS_A_SIDE = 12_000;

/** What a picture is by its own bytes, whatever it calls itself. @throws 400 where it is none */
function pictureType(bytes: Uint8Array): string {
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

@Injectable()
export class RunPhotosService {
  constructor(
    private readonly runs: RunsRepository,
    private readonly washes: WashesService,
  ) {}

  /** Keeps a picture under its id; sent again, it stays as it is. @throws 400 where it is no picture, 404 without such a wash */
  async keep(washId: string, id: string, body: unknown): Promise<void> {
    if (!Buffer.isBuffer(body) || body.length === 0)
      throw badField('photo', 'Send the picture itself as the body, with an image type.');
    await this.washes.read(washId);
    await this.runs.keepPhoto({ id, washId, mediaType: pictureType(body), bytes: body });
  }

  async read(washId: string, id: string): Promise<KeptPhoto> {
    const photo = await this.runs.findPhoto(washId, id);
    if (!photo) throw notFound('photo', id);
    return photo;
  }
}
