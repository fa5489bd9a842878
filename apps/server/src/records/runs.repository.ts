import { Inject, Injectable } from '@nestjs/common';
import { type RunAction, type RunHand, type RunPack, underTodaysNames } from '@keen/core';
import { and, asc, count, eq, gt, inArray, sql } from 'drizzle-orm';
import { acting } from '../db/acting.js';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { runActions, runPacks, runPhotos } from '../db/schema.js';

/** An action with the number under which it arrived. */
export interface ArrivedAction {
  readonly seq: number;
  readonly action: RunAction;
}

export interface KeptPhoto {
  readonly mediaType: string;
  readonly bytes: Buffer;
}

@Injectable()
export class RunsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async keepPack(pack: RunPack): Promise<void> {
    const { id, washId } = pack;
    await this.db.insert(runPacks).values({ id, washId, pack }).onConflictDoNothing();
  }

  async findPack(id: string): Promise<RunPack | null> {
    const [row] = await this.db.select().from(runPacks).where(eq(runPacks.id, id));
    return row ? underTodaysNames(row.pack) : null;
  }

  /** In the order of arrival, from behind a number on. */
  async actions(washId: string, after = 0): Promise<ArrivedAction[]> {
    return this.db
      .select({ seq: runActions.seq, action: runActions.action })
      .from(runActions)
      .where(and(eq(runActions.washId, washId), gt(runActions.seq, after)))
      .orderBy(asc(runActions.seq));
  }

  /** In whose session and from which phone the deeds of a wash came, who began first first. */
  async hands(washId: string): Promise<RunHand[]> {
    const { who, device } = runActions;
    const atMs = sql<number>`json_extract(${runActions.action}, '$.atMs')`;
    const fromMs = sql<number>`min(${atMs})`;
    return this.db
      .select({ who, device, deeds: count(), fromMs, toMs: sql<number>`max(${atMs})` })
      .from(runActions)
      .where(eq(runActions.washId, washId))
      .groupBy(who, device)
      .orderBy(asc(fromMs));
  }

  /** Which washes these actions belong to, where they are known. */
  async washesOf(ids: readonly string[]): Promise<Map<string, string>> {
    const rows = await this.db
      .select({ id: runActions.id, washId: runActions.washId })
      .from(runActions)
      .where(inArray(runActions.id, [...ids]));
    return new Map(rows.map(({ id, washId }) => [id, washId]));
  }

  /** All or none; one that is there already stays as it is. */
  async keepActions(washId: string, actions: readonly RunAction[]): Promise<void> {
    const { who = null, device = null } = acting() ?? {};
    const [first, ...rest] = actions.map((action) =>
      this.db.insert(runActions).values({ id: action.id, washId, action, who, device }).onConflictDoNothing(),
    );
    if (first) await this.db.batch([first, ...rest]);
  }

  async keepPhoto(photo: KeptPhoto & { readonly id: string; readonly washId: string }): Promise<void> {
    await this.db.insert(runPhotos).values(photo).onConflictDoNothing();
  }

  async findPhoto(washId: string, id: string): Promise<KeptPhoto | null> {
    const [row] = await this.db
      .select({ mediaType: runPhotos.mediaType, bytes: runPhotos.bytes })
      .from(runPhotos)
      .where(and(eq(runPhotos.washId, washId), eq(runPhotos.id, id)));
    return row ?? null;
  }
}
