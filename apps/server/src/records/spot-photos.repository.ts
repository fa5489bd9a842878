import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { spotPhotos } from '../db/schema.js';
import type { KeptPhoto } from './runs.repository.js';

/** Which photograph of which spots on which car. */
export interface SpotPhotoKey {
  readonly vehicleId: string;
  readonly spotId: string;
  readonly id: string;
}

/** Photographs of spots; one that is deleted can be restored. */
@Injectable()
export class SpotPhotosRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Ids of a car's photographs by the spots they show, the oldest first. */
  async idsBySpot(vehicleId: string): Promise<Map<string, string[]>> {
    const rows = await this.db
      .select({ id: spotPhotos.id, spotId: spotPhotos.spotId })
      .from(spotPhotos)
      .where(and(eq(spotPhotos.vehicleId, vehicleId), isNull(spotPhotos.removedMs)))
      .orderBy(asc(spotPhotos.atMs));
    const ids = new Map<string, string[]>();
    for (const { id, spotId } of rows) ids.set(spotId, [...(ids.get(spotId) ?? []), id]);
    return ids;
  }

  /** Sent again under the same id, it stays as it is. */
  async keep(photo: SpotPhotoKey & KeptPhoto & { readonly atMs: number }): Promise<void> {
    await this.db.insert(spotPhotos).values(photo).onConflictDoNothing();
  }

  async find({ vehicleId, spotId, id }: SpotPhotoKey): Promise<KeptPhoto | null> {
    const [row] = await this.db
      .select({ mediaType: spotPhotos.mediaType, bytes: spotPhotos.bytes })
      .from(spotPhotos)
      .where(
        and(
          eq(spotPhotos.id, id),
          eq(spotPhotos.spotId, spotId),
          eq(spotPhotos.vehicleId, vehicleId),
          isNull(spotPhotos.removedMs),
        ),
      );
    return row ?? null;
  }

  /** Deletes (an instant) or restores (null). Answers whether there is such a photograph. */
  async setRemoved({ vehicleId, spotId, id }: SpotPhotoKey, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db
      .update(spotPhotos)
      .set({ removedMs })
      .where(and(eq(spotPhotos.id, id), eq(spotPhotos.spotId, spotId), eq(spotPhotos.vehicleId, vehicleId)));
    return rowsAffected > 0;
  }
}
