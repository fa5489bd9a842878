import { mergeActions, type RunAction, type RunDeed, underTodaysNames } from '@keen/core';
import { deviceIdOf, type KeptAction, type KeptPhoto, type KeptRun, type RunDb } from './run-db.js';

/** How many actions go to the server in one request. */
const BATCH = 200;

/** What a screen shows of the shelf. */
export interface ShelfTally {
  readonly actions: readonly RunAction[];
  /** Actions and photographs that are on this phone only. */
  readonly keptCount: number;
  /** Why the server did not take something; it stays on this phone. */
  readonly refused: string | null;
  /** Photographs among it. */
  readonly refusedPhotoCount: number;
}

/** What this phone keeps of one run. No deed is ever taken out, so one that is kept twice counts once. */
export class RunShelf {
  private kept = new Map<string, KeptAction>();
  private photos = new Map<string, Pick<KeptPhoto, 'id' | 'state' | 'fault'>>();
  private device = '';

  constructor(
    private readonly db: RunDb,
    private readonly washId: string,
  ) {}

  get deviceId(): string {
    return this.device;
  }

  /** Reads what is on this phone. @returns the run, under today's names; null: none is kept */
  async load(): Promise<KeptRun | null> {
    this.device = await deviceIdOf(this.db);
    const [run, actions, photos] = await Promise.all([
      this.db.get('runs', this.washId),
      this.db.getAllFromIndex('actions', 'washId', this.washId),
      this.db.getAllFromIndex('photos', 'washId', this.washId),
    ]);
    this.kept = new Map(actions.map((entry) => [entry.id, entry]));
    this.photos = new Map(photos.map(({ id, state, fault }) => [id, { id, state, fault }]));
    return run ? underTodaysNames(run) : null;
  }

  tally(): ShelfTally {
    const kept = [...this.kept.values()];
    const unsent = [...kept, ...this.photos.values()];
    return {
      actions: mergeActions(kept.map(({ action }) => action)),
      keptCount: unsent.filter(({ state }) => state === 'kept').length,
      refused: unsent.find(({ state }) => state === 'refused')?.fault ?? null,
      refusedPhotoCount: this.refusedPhotos().length,
    };
  }

  private refusedPhotos(): string[] {
    return [...this.photos.values()].filter(({ state }) => state === 'refused').map(({ id }) => id);
  }

  /** Deletes the photographs that the server does not take. @returns the taps that name them */
  async dropRefusedPhotos(): Promise<string[]> {
    const dropped = new Set(this.refusedPhotos());
    const change = this.db.transaction('photos', 'readwrite');
    for (const id of dropped) await change.store.delete(id);
    await change.done;
    for (const id of dropped) this.photos.delete(id);
    return [...this.kept.values()].flatMap(({ action: { deed, tap } }) =>
      deed.kind === 'photo' && dropped.has(deed.photoId) ? [tap] : [],
    );
  }

  /** The next actions to be sent, in order; at most as many as go in one request. */
  unsent(): RunAction[] {
    const kept = [...this.kept.values()].filter(({ state }) => state === 'kept');
    return mergeActions(kept.map(({ action }) => action)).slice(0, BATCH);
  }

  /** The photographs that are on this phone only. */
  async *unsentPhotos(): AsyncGenerator<KeptPhoto> {
    for (const { id, state } of Array.from(this.photos.values())) {
      const photo = state === 'kept' ? await this.db.get('photos', id) : undefined;
      if (photo) yield photo;
    }
  }

  /** Keeps the deeds of one tap, and the photographs they name, all or none; they are on the disk when this is done. */
  async write(deeds: readonly RunDeed[], photos: readonly KeptPhoto[], atMs: number): Promise<void> {
    const tap = crypto.randomUUID();
    const from = this.kept.size;
    const entries = deeds.map((deed, i): KeptAction => {
      const id = crypto.randomUUID();
      const action = { id, tap, deviceId: this.device, count: from + i, atMs, deed };
      return { id, washId: this.washId, action, state: 'kept', fault: null };
    });
    const change = this.db.transaction(['actions', 'photos'], 'readwrite', { durability: 'strict' });
    await Promise.all([
      ...entries.map((entry) => change.objectStore('actions').put(entry)),
      ...photos.map((photo) => change.objectStore('photos').put(photo)),
      change.done,
    ]);
    for (const entry of entries) this.kept.set(entry.id, entry);
    for (const { id, state, fault } of photos) this.photos.set(id, { id, state, fault });
  }

  /** Keeps what the server has of the run. */
  async keepNews(run: KeptRun, actions: readonly RunAction[]): Promise<void> {
    const entries = actions.map((action): KeptAction => ({
      id: action.id,
      washId: this.washId,
      action,
      state: 'sent',
      fault: null,
    }));
    const change = this.db.transaction(['runs', 'actions'], 'readwrite');
    await Promise.all([
      change.objectStore('runs').put(run),
      ...entries.map((entry) => change.objectStore('actions').put(entry)),
      change.done,
    ]);
    for (const entry of entries) this.kept.set(entry.id, entry);
  }

  /** Marks actions that the server did not take; they stay here. */
  async refuse(actions: readonly RunAction[], fault: string): Promise<void> {
    const change = this.db.transaction('actions', 'readwrite');
    for (const { id } of actions) {
      const entry = this.kept.get(id);
      if (!entry) continue;
      const refused: KeptAction = { ...entry, state: 'refused', fault };
      await change.store.put(refused);
      this.kept.set(id, refused);
    }
    await change.done;
  }

  /** What was refused is to be sent once more. */
  async release(): Promise<void> {
    const change = this.db.transaction(['actions', 'photos'], 'readwrite');
    for (const entry of await change.objectStore('actions').index('washId').getAll(this.washId)) {
      if (entry.state !== 'refused') continue;
      const kept: KeptAction = { ...entry, state: 'kept', fault: null };
      await change.objectStore('actions').put(kept);
      this.kept.set(kept.id, kept);
    }
    for (const photo of await change.objectStore('photos').index('washId').getAll(this.washId)) {
      if (photo.state !== 'refused') continue;
      await change.objectStore('photos').put({ ...photo, state: 'kept', fault: null });
      this.photos.set(photo.id, { id: photo.id, state: 'kept', fault: null });
    }
    await change.done;
  }

  async setPhoto(photo: KeptPhoto): Promise<void> {
    await this.db.put('photos', photo);
    const { id, state, fault } = photo;
    this.photos.set(id, { id, state, fault });
  }
}
