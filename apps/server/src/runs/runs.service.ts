import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  closedRun,
  didAnything,
  doneWork,
  mergeActions,
  MS_PER_HOUR,
  type RunAction,
  type RunPack,
  runState,
  type RunState,
  startOfHourMs,
  type WashRecord,
  type RunAnswer,
  type RunHand,
  type RunNews,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { inPassing } from '../db/in-passing.js';
import { badField, conflict } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { acceptedOf } from '../answers/accepted.js';
import { AnswersService } from '../answers/answers.service.js';
import { WashesService } from '../washes/washes.service.js';
import { type ArrivedAction, RunsRepository } from '../records/runs.repository.js';

/** So far may a phone’s clock be ahead of the server’s (judgement: a wrong time zone). */
const MOST_AHEAD_MS = 26 * MS_PER_HOUR;

const startOf = (actions: readonly RunAction[]): string | null =>
  actions.flatMap(({ deed }) => (deed.kind === 'start' ? [deed.packId] : []))[0] ?? null;

@Injectable()
export class RunsService {
  /** The work that is under way for each wash: what arrives for one wash is settled one after the other. */
  private readonly under = new Map<string, Promise<unknown>>();

  constructor(
    private readonly runs: RunsRepository,
    private readonly washes: WashesService,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly verdicts: AnswersService,
    private readonly clock: ClockService,
  ) {}

  /**
   * What a wash is run with: made for its hour (or the present one where it should have begun) until it is begun, and from then on
   * what it was begun with; and all that was done.
   *
   * @throws 404 without such a wash, 400 where nobody knows that hour's weather
   */
  async read(washId: string): Promise<RunAnswer> {
    const wash = await this.washes.read(washId);
    const arrived = await this.runs.actions(washId);
    const merged = mergeActions(arrived.map(({ action }) => action));
    const begunWith = startOf(merged);
    const kept = begunWith === null ? null : await this.runs.findPack(begunWith);
    const pack = kept ?? (await this.freshPack(wash));
    const [vehicle, place] = await Promise.all([
      this.vehicles.read(wash.vehicleId),
      this.places.read(wash.placeId),
    ]);
    return {
      wash,
      vehicleName: vehicle.name,
      placeName: [place.name, await this.secondName(pack)].filter(Boolean).join(', then '),
      pack,
      actions: merged,
      seq: arrived.at(-1)?.seq ?? 0,
      nowMs: this.clock.now(),
    };
  }

  /** The second place, where the wash ends in one; null: it ends where it begins. */
  private async secondName({ method, place }: RunPack): Promise<string | null> {
    const endsThere = method.steps.some(({ isElsewhere }) => isElsewhere);
    return endsThere && place.finish ? ((await this.places.find(place.finish.place.id))?.name ?? null) : null;
  }

  private async freshPack(wash: WashRecord): Promise<RunPack> {
    const nowMs = this.clock.now();
    const startMs = Math.max(wash.startMs, startOfHourMs(nowMs));
    const draft = await this.verdicts.runPack(acceptedOf({ ...wash, startMs }));
    if (!draft)
      throw badField('washId', 'Nobody knows the weather of that hour, so there is no sheet for it yet.');
    const named = { ...draft, washId: wash.id };
    const id = createHash('sha256').update(JSON.stringify(named)).digest('base64url').slice(0, 24);
    const pack: RunPack = { ...named, id, madeMs: nowMs };
    await inPassing(() => this.runs.keepPack(pack));
    return pack;
  }

  /** By whom and from where the deeds came, as the sessions say. @throws 404 without such a wash */
  async hands(washId: string): Promise<RunHand[]> {
    await this.washes.read(washId);
    return this.runs.hands(washId);
  }

  /** What arrived after a number. */
  async news(washId: string, after: number): Promise<RunNews> {
    const arrived = await this.runs.actions(washId, after);
    return this.newsOf(arrived, after);
  }

  private newsOf(arrived: readonly ArrivedAction[], after: number): RunNews {
    return {
      actions: arrived.map(({ action }) => action),
      seq: arrived.at(-1)?.seq ?? after,
      nowMs: this.clock.now(),
    };
  }

  /**
   * Takes what a phone did, each action once however often it is sent, and lets the wash follow.
   *
   * @returns all that arrived after a number, these among it
   * @throws 404 without such a wash, 409 where an action belongs to another wash, 400 where it was begun with a pack that is not known
   */
  async take(washId: string, actions: readonly RunAction[], after: number): Promise<RunNews> {
    await this.washes.read(washId);
    this.requireDone(actions);
    const owners = await this.runs.washesOf(actions.map(({ id }) => id));
    for (const [id, owner] of owners)
      if (owner !== washId) throw conflict('actions', `Action ${id} belongs to another wash.`);
    const packId = startOf(actions);
    if (packId !== null && !(await this.runs.findPack(packId)))
      throw badField('actions', `There is no pack ${packId}; open the run again while there is a signal.`);
    await this.runs.keepActions(washId, actions);
    await this.inTurn(washId, () => this.settle(washId));
    return this.news(washId, after);
  }

  /** What lies ahead by more than clocks differ was never done. */
  private requireDone(actions: readonly RunAction[]): void {
    const latestMs = this.clock.now() + MOST_AHEAD_MS;
    const at = actions.findIndex(({ atMs }) => atMs > latestMs);
    if (at >= 0)
      throw badField(
        `actions.${at}.atMs`,
        'This was noted with a time that is still to come. Set the clock of the phone; it keeps what it noted.',
      );
  }

  private async inTurn<T>(washId: string, work: () => Promise<T>): Promise<T> {
    const before = this.under.get(washId) ?? Promise.resolve();
    const mine = before.catch(() => undefined).then(work);
    this.under.set(washId, mine);
    try {
      return await mine;
    } finally {
      if (this.under.get(washId) === mine) this.under.delete(washId);
    }
  }

  /** Brings the wash to where its run is: begun, done with what was found, or open again. */
  private async settle(washId: string): Promise<void> {
    const merged = mergeActions((await this.runs.actions(washId)).map(({ action }) => action));
    const packId = startOf(merged);
    const pack = packId === null ? null : await this.runs.findPack(packId);
    if (!pack) return;
    const wash = await this.washes.read(washId);
    const state = runState(pack, merged);
    if (state.phase === 'closed') await this.close(wash, pack, state);
    else if (wash.status === 'done' && wash.found?.run) await this.washes.reopen(washId);
    else if (wash.status === 'planned' && wash.startedMs === null && state.startedMs !== null)
      await this.washes.move(washId, { startedMs: state.startedMs });
  }

  private async close(wash: WashRecord, pack: RunPack, state: RunState): Promise<void> {
    const closed = closedRun(pack, state);
    if (!closed || !state.close) return;
    const { record, used, laid, startMs, minutes, costMinor } = closed;
    // Somebody marked it done from the desk meanwhile: what was typed there stays, and the run is added.
    if (wash.status === 'done' && wash.found && !wash.found.isClosedByRun) {
      if (!isSame(wash.found.run, record)) await this.washes.addRun(wash.id, record);
      return;
    }
    const finished = {
      startMs: Math.min(startMs, this.clock.now()),
      minutes: Math.min(1440, minutes),
      methodId: wash.methodId,
      extras: [...(state.close.extras ?? (didAnything(record) ? doneWork(state, plannedExtras(wash)) : []))],
      costMinor,
      found: { ...state.close.found, used, laid, run: record, isClosedByRun: true },
    };
    if (wash.status === 'planned') await this.washes.finish(wash.id, finished);
    // What another phone did before the close arrived only now.
    else if (!isSame(wash.found?.run, record)) await this.washes.amend(wash.id, finished);
  }
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** As planned, also where it is done already. */
const plannedExtras = ({ found, extras }: WashRecord): WashRecord['extras'] =>
  found?.planned?.extras ?? extras;
