import {
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Put,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { cleanPicture } from '../guard/clean-picture.js';
import { ConsentRepository } from '../records/consent.repository.js';
import { type SpotPhotoKey, SpotPhotosRepository } from '../records/spot-photos.repository.js';
import { SpotsRepository } from '../records/spots.repository.js';

/** More pictures of the same spots tell nothing more. */
const MOST_PHOTOS = 12;

/** Photographs of spots: before, between and after what was tried. */
@ApiTags('spots')
@Controller('vehicles/:vehicleId/spots/:spotId/photos/:id')
export class SpotPhotosController {
  constructor(
    private readonly photos: SpotPhotosRepository,
    private readonly spots: SpotsRepository,
    private readonly clock: ClockService,
    private readonly consent: ConsentRepository,
  ) {}

  /** Keeps a picture: JPEG, PNG or WebP as the body. */
  @Put()
  @HttpCode(204)
  async keep(@Param() of: SpotPhotoKey, @Req() { body }: Request<unknown, unknown, unknown>): Promise<void> {
    const { vehicleId, spotId, id } = of;
    const known = await this.spots.list(vehicleId);
    if (!known.some((spot) => spot.id === spotId)) throw notFound('spot', spotId);
    await this.consent.requirePhotographs(vehicleId);
    const ids = (await this.photos.idsBySpot(vehicleId)).get(spotId) ?? [];
    if (ids.length >= MOST_PHOTOS && !ids.includes(id))
      throw badField('photo', `These spots have ${MOST_PHOTOS} photographs already; delete one first.`);
    await this.photos.keep({ ...of, atMs: this.clock.now(), ...(await cleanPicture(body)) });
    if (!(await this.photos.find(of)))
      throw conflict('id', `id: ${id} is a photograph of something else; send it under an id of its own.`);
  }

  /** A photograph of spots. */
  @Get()
  @Header('cache-control', 'private, max-age=31536000, immutable')
  async read(@Param() of: SpotPhotoKey): Promise<StreamableFile> {
    const photo = await this.photos.find(of);
    if (!photo) throw notFound('photo', of.id);
    return new StreamableFile(photo.bytes, { type: photo.mediaType });
  }

  /** Deletes a photograph; it can be restored. */
  @Delete()
  @HttpCode(204)
  async remove(@Param() of: SpotPhotoKey): Promise<void> {
    if (!(await this.photos.setRemoved(of, this.clock.now()))) throw notFound('photo', of.id);
  }

  /** Restores a photograph. */
  @Post('restore')
  @HttpCode(204)
  async restore(@Param() of: SpotPhotoKey): Promise<void> {
    if (!(await this.photos.setRemoved(of, null))) throw notFound('photo', of.id);
  }
}
