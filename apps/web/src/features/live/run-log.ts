import { lastTap, type RunAction, type RunDeed, type RunNews } from '@keen/core';
import type { KeptPhoto, KeptRun, RunDb } from './run-db.js';
import { clockOffsetMs } from './clock-offset.js';
import { RunShelf } from './run-shelf.js';
import type { Picture } from '../../parts/photo.js';
import { sendPhotos } from './send-photos.js';
import { isRefusal, signalOf } from './run-refusals.js';
import { NOTHING, type RunServer, type RunView } from './run-view.js';

/**
 * One run on one phone: every deed is kept in the phone before it is shown, sent in order when there is a signal, and joined with what
 * other phones did.
 */
export class RunLog {
  private view = NOTHING;
  private readonly listeners = new Set<() => void>();
  private readonly shelf: RunShelf;
  private syncing: Promise<void> | null = null;
  private again = false;
  private writing: Promise<void> = Promise.resolve();
  /** Nothing is written before what is there was read: a deed is numbered behind those that its phone has written. */
  private loading: Promise<void> = Promise.resolve();

  constructor(
    db: RunDb,
    private readonly server: RunServer,
    readonly washId: string,
  ) {
    this.shelf = new RunShelf(db, washId);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): RunView => this.view;

  /** Now by the server's clock, as far as this phone knows it. */
  readonly now = (): number => Date.now() + (this.view.run?.offsetMs ?? 0);

  private show(change: Partial<RunView> = {}): void {
    this.view = { ...this.view, ...this.shelf.tally(), ...change };
    for (const listener of this.listeners) listener();
  }

  /** Reads what is on this phone, then asks the server. */
  async open(): Promise<void> {
    this.loading = this.load();
    await this.loading;
    await this.sync();
  }

  private async load(): Promise<void> {
    const run = await this.shelf.load();
    this.show({ run, deviceId: this.shelf.deviceId });
  }

  /** Keeps the deeds of one tap, all or none; they are on the phone when this is done. */
  async add(...deeds: readonly RunDeed[]): Promise<void> {
    await this.inTurn(() => this.write(deeds, []));
    void this.sync();
  }

  /** Takes back the latest tap of this phone that stands, those that are just being kept included. */
  async undo(): Promise<void> {
    await this.inTurn(async () => {
      const last = lastTap(this.view.actions, this.shelf.deviceId);
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
    await this.shelf.write(deeds, photos, Math.round(this.now()));
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
      await sendPhotos({ shelf: this.shelf, server: this.server, washId: this.washId }, () => this.show());
      this.show({ hasSignal: true, isSignedOut: false, error: null });
    } catch (error) {
      if (!(error instanceof Error)) throw error;
      this.show({ ...signalOf(error), error: this.view.run ? null : error });
    }
  }

  /** Until it is begun, the run follows the plan and the weather; begun on another phone, it goes by what that one had. */
  private mayRenew(): boolean {
    const begun = this.view.actions.flatMap(({ deed }) => (deed.kind === 'start' ? [deed.packId] : []));
    return begun[0] !== this.view.run?.pack.id || begun.length === 0;
  }

  private async fetchRun(): Promise<void> {
    const askedMs = Date.now();
    const { actions, seq, nowMs, ...run } = await this.server.read(this.washId);
    await this.keepNews({ actions, seq, nowMs }, askedMs, run);
  }

  private async keepNews(
    { actions, seq, nowMs }: RunNews,
    askedMs: number,
    fresh: Omit<KeptRun, 'washId' | 'seq' | 'offsetMs'> | null = this.view.run,
  ): Promise<void> {
    if (!fresh) return;
    const clocks = { askedMs, answeredMs: Date.now(), knownMs: this.view.run?.offsetMs };
    const run: KeptRun = { ...fresh, washId: this.washId, seq, offsetMs: clockOffsetMs(nowMs, clocks) };
    await this.shelf.keepNews(run, actions);
    this.show({ run });
  }

  private async sendActions(): Promise<void> {
    const actions = this.shelf.unsent();
    if (actions.length === 0) {
      const askedMs = Date.now();
      await this.keepNews(await this.server.news(this.washId, this.view.run?.seq ?? 0), askedMs);
      return;
    }
    // One of many is refused: the others are not to wait for it.
    if (!(await this.isTaken(actions)))
      for (const action of actions.length > 1 ? actions : []) await this.isTaken([action]);
    if (this.shelf.unsent().length > 0) await this.sendActions();
  }

  /** Sends actions together; a single one that is refused is marked. @returns were they taken? */
  private async isTaken(actions: readonly RunAction[]): Promise<boolean> {
    const askedMs = Date.now();
    try {
      const after = this.view.run?.seq ?? 0;
      await this.keepNews(await this.server.send(this.washId, { actions, after }), askedMs);
      return true;
    } catch (error) {
      if (!isRefusal(error)) throw error;
      if (actions.length > 1) return false;
      await this.shelf.refuse(actions, error.message);
      this.show();
      return false;
    }
  }

  /** Sends once more what was refused. */
  async retryRefused(): Promise<void> {
    await this.shelf.release();
    this.show();
    await this.sync();
  }

  /** Deletes the photographs that the server refused from this phone, and takes back the taps that name them. */
  async dropRefusedPhotos(): Promise<void> {
    await this.inTurn(async () => {
      const taps = await this.shelf.dropRefusedPhotos();
      const undone = taps.map((tap): RunDeed => ({ kind: 'undo', tap }));
      if (undone.length > 0) await this.write(undone, []);
      this.show();
    });
    void this.sync();
  }
}
