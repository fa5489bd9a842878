import { Injectable } from '@nestjs/common';
import { conflict, notFound } from '../errors/api-error.js';
import { cleanPicture } from '../guard/clean-picture.js';
import { WashesService } from '../washes/washes.service.js';
import { ConsentRepository } from '../records/consent.repository.js';
import { type KeptPhoto, RunsRepository } from '../records/runs.repository.js';

@Injectable()
export class RunPhotosService {
  constructor(
    private readonly runs: RunsRepository,
    private readonly washes: WashesService,
    private readonly consent: ConsentRepository,
  ) {}

  /** Keeps a picture under its id; sent again, it stays as it is. @throws 400 where it is no picture or the customer wants none, 404 without such a wash, 409 where the id is another wash's */
  async keep(washId: string, id: string, body: unknown): Promise<void> {
    const { vehicleId } = await this.washes.read(washId);
    await this.consent.requirePhotographs(vehicleId);
    await this.runs.keepPhoto({ id, washId, ...(await cleanPicture(body)) });
    // Its id may be another wash's already: then it was not kept, and nobody is to believe that it was.
    if (!(await this.runs.findPhoto(washId, id)))
      throw conflict(
        'photoId',
        `photoId: ${id} is a photograph of another wash; send it under an id of its own.`,
      );
  }

  async read(washId: string, id: string): Promise<KeptPhoto> {
    const photo = await this.runs.findPhoto(washId, id);
    if (!photo) throw notFound('photo', id);
    return photo;
  }
}
