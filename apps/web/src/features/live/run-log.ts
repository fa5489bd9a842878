import {
  lastTap,
  mergeActions,
  type RunAction,
  type RunDeed,
  type RunAnswer,
  type RunNews,
  underTodaysNames,
} from '@keen/core';
import { ApiError } from '../../api/client.js';
import { deviceIdOf, type KeptAction, type KeptPhoto, type KeptRun, type RunDb } from './run-db.js';

/** The server, as far as a run needs it. */
export interface RunServer {
  read(washId: string): Promise<RunAnswer>;
  news(washId: string, after: number): Promise<RunNews>;
  send(
    washId: string,
    body: { readonly actions: readonly RunAction[]; readonly after: number },
  ): Promise<RunNews>;
  sendPhoto(washId: string, photoId: string, photo: Blob): Promise<void>;
}

export interface Picture {
  readonly bytes: ArrayBuffer;
  readonly mediaType: string;
}

/** What the screen shows of the log. */
export interface RunView {
  /** null: nothing is known of it yet. */
  readonly run: KeptRun | null;
  readonly deviceId: string;
  readonly actions: readonly RunAction[];
  /** Actions and photographs that are on this phone only. */
  readonly keptCount: number;
  /** Why the server did not take something; it stays on this phone. */
  readonly refused: string | null;
  readonly hasSignal: boolean;
  /** Why the run could not be opened. */
  readonly error: Error | null;
}

const NOTHING: RunView = {
  run: null,
  deviceId: '',
  actions: [],
  keptCount: 0,
  refused: null,
  hasSignal: true,
  error: null,
};

/** The clocks of phone and server are held to be the same within this, ms. */
const CLOCK_SLACK_MS = 400;
const BATCH = 200;

/**
 * One run on one phone: every deed is kept in the phone before it is shown, sent in order when there is a signal, and joined with what
 * other phones did. Nothing is ever taken out of the log, so a deed that is sent twice counts once.
 */
export class RunLog {
  private view = NOTHING;
  private readonly listeners = new Set<() => void>();
  private kept = new Map<string, KeptAction>();
  private photos = new Map<string, Pick<KeptPhoto, 'id' | 'state' | 'fault'>>();
  private deviceId = '';
  private syncing: Promise<void> | null = null;
  private again = false;
  private writing: Promise<void> = Promise.resolve();
  /** Nothing is written before what is there was read: a deed is numbered behind those that its phone has written. */
  private loading: Promise<void> = Promise.resolve();

  constructor(
    private readonly db: RunDb,
    private readonly server: RunServer,
    readonly washId: string,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): RunView => this.view;

  /** Now by the server's clock, as far as this phone knows it. */
  readonly now = (): number => Date.now() + (this.view.run?.offsetMs ?? 0);

  private show(change: Partial<RunView> = {}): void {
    const kept = [...this.kept.values()];
    const unsent = [...kept, ...this.photos.values()];
    this.view = {
      ...this.view,
      actions: mergeActions(kept.map(({ action }) => action)),
      keptCount: unsent.filter(({ state }) => state === 'kept').length,
      refused: unsent.find(({ state }) => state === 'refused')?.fault ?? null,
      ...change,
    };
    for (const listener of this.listeners) listener();
  }

  /** Reads what is on this phone, then asks the server. */
  async open(): Promise<void> {
    this.loading = this.load();
    await this.loading;
    await this.sync();
  }

  private async load(): Promise<void> {
    this.deviceId = await deviceIdOf(this.db);
    const [run, actions, photos] = await Promise.all([
      this.db.get('runs', this.washId),
      this.db.getAllFromIndex('actions', 'washId', this.washId),
      this.db.getAllFromIndex('photos', 'washId', this.washId),
    ]);
    this.kept = new Map(actions.map((entry) => [entry.id, entry]));
    this.photos = new Map(photos.map(({ id, state, fault }) => [id, { id, state, fault }]));
    this.show({ run: run ? underTodaysNames(run) : null, deviceId: this.deviceId });
  }

  /** Keeps the deeds of one tap, all or none; they are on the phone when this is done. */
  async add(...deeds: readonly RunDeed[]): Promise<void> {
    await this.inTurn(() => this.write(deeds, []));
    void this.sync();
  }

  /** Takes back the latest tap of this phone that stands, those that are just being kept included. */
  async undo(): Promise<void> {
    await this.inTurn(async () => {
      const last = lastTap(this.view.actions, this.deviceId);
      if (last) await this.write([{ kind: 'undo', tap: last.tap }], []);
    });
    void this.sync();
  }

  private inTurn(work: () => Promise<void>): Promise<void> {
    const mine = Promise.all([this.writing, this.loading]).then(work);
    this.writing = mine.catch(() => undefined);
    return mine;
  }

  /** Keeps a picture and the deed that names it. */
  async addPhoto(picture: Picture, caption: string): Promise<void> {
    const photo: KeptPhoto = {
      ...picture,
      id: crypto.randomUUID(),
      washId: this.washId,
      state: 'kept',
      fault: null,
    };
    await this.inTurn(() => this.write([{ kind: 'photo', photoId: photo.id, caption }], [photo]));
    void this.sync();
  }

  private async write(deeds: readonly RunDeed[], photos: readonly KeptPhoto[]): Promise<void> {
    const tap = crypto.randomUUID();
    const atMs = Math.round(this.now());
    const from = this.kept.size;
    const entries = deeds.map((deed, i): KeptAction => {
      const id = crypto.randomUUID();
      const action = { id, tap, deviceId: this.deviceId, count: from + i, atMs, deed };
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
    this.show();
  }

  /** Sends what is kept and fetches what others did. One at a time; asked for meanwhile, it goes once more. */
  sync(): Promise<void> {
    this.again = true;
    this.syncing ??= this.exchanges().finally(() => {
      this.syncing = null;
    });
    return this.syncing;
  }

  private async exchanges(): Promise<void> {
    while (this.again) {
      this.again = false;
      await this.exchange();
    }
  }

  private async exchange(): Promise<void> {
    try {
      if (this.mayRenew()) await this.fetchRun();
      await this.sendActions();
      if (this.mayRenew() && this.view.actions.some(({ deed }) => deed.kind === 'start'))
        await this.fetchRun();
      await this.sendPhotos();
      this.show({ hasSignal: true, error: null });
    } catch (error) {
      if (!(error instanceof Error)) throw error;
      const isRefusal = error instanceof ApiError;
      this.show({ hasSignal: isRefusal && error.status < 500, error: this.view.run ? null : error });
    }
  }

  /** Until it is begun, the run follows the plan and the weather; begun on another phone, it goes by what that one had. */
  private mayRenew(): boolean {
    const begun = this.view.actions.flatMap(({ deed }) => (deed.kind === 'start' ? [deed.packId] : []));
    return begun[0] !== this.view.run?.pack.id || begun.length === 0;
  }

  private async fetchRun(): Promise<void> {
    const askedMs = Date.now();
    const { wash, vehicleName, placeName, pack, actions, seq, nowMs } = await this.server.read(this.washId);
    const offsetMs = this.offsetFor(nowMs, askedMs);
    await this.keepNews({ actions, seq, nowMs }, askedMs, {
      washId: this.washId,
      wash,
      vehicleName,
      placeName,
      pack,
      seq,
      offsetMs,
    });
  }

  /** The clock is only moved where it is clearly off, so that no timer jumps for the sake of a slow answer. */
  private offsetFor(serverNowMs: number, askedMs: number): number {
    const answeredMs = Date.now();
    const found = serverNowMs - (askedMs + answeredMs) / 2;
    const known = this.view.run?.offsetMs;
    const slackMs = CLOCK_SLACK_MS + (answeredMs - askedMs) / 2;
    return known !== undefined && Math.abs(found - known) <= slackMs ? known : found;
  }

  private async keepNews(
    { actions, seq, nowMs }: RunNews,
    askedMs: number,
    fresh: KeptRun | null = this.view.run,
  ): Promise<void> {
    if (!fresh) return;
    const run: KeptRun = { ...fresh, seq, offsetMs: this.offsetFor(nowMs, askedMs) };
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
    this.show({ run });
  }

  private unsent(): RunAction[] {
    const kept = [...this.kept.values()].filter(({ state }) => state === 'kept');
    return mergeActions(kept.map(({ action }) => action)).slice(0, BATCH);
  }

  private async sendActions(): Promise<void> {
    const after = this.view.run?.seq ?? 0;
    const askedMs = Date.now();
    const actions = this.unsent();
    if (actions.length === 0) {
      await this.keepNews(await this.server.news(this.washId, after), askedMs);
      return;
    }
    try {
      await this.keepNews(await this.server.send(this.washId, { actions, after }), askedMs);
    } catch (error) {
      if (!(error instanceof ApiError) || error.status >= 500) throw error;
      if (actions.length > 1) await this.sendOneByOne(actions);
      else await this.setRefused(actions, error.message);
      return;
    }
    if (this.unsent().length > 0) await this.sendActions();
  }

  /** One of them is refused: the others are not to wait for it. */
  private async sendOneByOne(actions: readonly RunAction[]): Promise<void> {
    for (const action of actions) {
      const askedMs = Date.now();
      const after = this.view.run?.seq ?? 0;
      try {
        await this.keepNews(await this.server.send(this.washId, { actions: [action], after }), askedMs);
      } catch (error) {
        if (!(error instanceof ApiError) || error.status >= 500) throw error;
        await this.setRefused([action], error.message);
      }
    }
  }

  /** Sends once more what was refused. */
  async retryRefused(): Promise<void> {
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
    this.show();
    await this.sync();
  }

  private async setRefused(actions: readonly RunAction[], fault: string): Promise<void> {
    const change = this.db.transaction('actions', 'readwrite');
    for (const { id } of actions) {
      const entry = this.kept.get(id);
      if (!entry) continue;
      const refused: KeptAction = { ...entry, state: 'refused', fault };
      await change.store.put(refused);
      this.kept.set(id, refused);
    }
    await change.done;
    this.show();
  }

  private async sendPhotos(): Promise<void> {
    for (const { id, state } of Array.from(this.photos.values())) {
      if (state !== 'kept') continue;
      const photo = await this.db.get('photos', id);
      if (!photo) continue;
      try {
        await this.server.sendPhoto(this.washId, id, new Blob([photo.bytes], { type: photo.mediaType }));
        await this.setPhoto({ ...photo, state: 'sent' });
      } catch (error) {
        if (!(error instanceof ApiError) || error.status >= 500) throw error;
        await this.setPhoto({ ...photo, state: 'refused', fault: error.message });
      }
    }
  }

  private async setPhoto(photo: KeptPhoto): Promise<void> {
    await this.db.put('photos', photo);
    const { id, state, fault } = photo;
    this.photos.set(id, { id, state, fault });
    this.show();
  }
}
