import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import {
  type Customer,
  type VehicleRecord,
  type WashRecord,
  MS_PER_HOUR,
  isAhead,
  type MessageRecord,
  type UnsentMessage,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { CustomersRepository } from '../records/customers.repository.js';
import { conflict, notFound } from '../errors/api-error.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { AnswersService } from '../answers/answers.service.js';
import { WashesRepository } from '../records/washes.repository.js';
import type { PutMessageDto } from './message.dto.js';
import { OUTBOX, type Outbox } from './outbox.js';

/** A wash concerns tonight from so long ago to so far ahead. */
const TONIGHT_HOURS = { behind: 12, ahead: 16 };

interface Book {
  readonly customers: ReadonlyMap<string, Customer>;
  readonly vehicles: ReadonlyMap<string, VehicleRecord>;
  readonly messages: readonly MessageRecord[];
  readonly nowMs: number;
}

/** The newest message about a wash that tells when it is. */
const lastAbout = ({ messages }: Book, washId: string): MessageRecord | undefined =>
  messages.find((message) => message.washId === washId && message.kind !== 'freeze-care');

/** What customers know and do not know of the plan, and the outbox. */
@Injectable()
export class MessagesService {
  constructor(
    private readonly customers: CustomersRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly washes: WashesRepository,
    private readonly verdicts: AnswersService,
    private readonly clock: ClockService,
    @Inject(OUTBOX) private readonly outbox: Outbox,
  ) {}

  list(): Promise<MessageRecord[]> {
    return this.outbox.list();
  }

  /** What customers should be told now: washes that are new to them, that were moved or called off, and tonight's freeze care. */
  async unsent(): Promise<UnsentMessage[]> {
    const book = await this.book();
    const washes = await this.washes.list({});
    const planned = washes.filter((wash) => isAhead(wash, book.nowMs));
    const found = await Promise.all([
      ...planned.map((wash) => this.aboutPlan(wash, book)),
      ...this.goneWashes(washes, book).map((message) => this.calledOff(message, book)),
      ...washes
        .filter((wash) => concernsTonight(wash, book.nowMs))
        .map((wash) => this.aboutTonight(wash, book)),
    ]);
    return found.filter((one) => one !== null).sort((a, b) => a.wash.startMs - b.wash.startMs);
  }

  private async book(): Promise<Book> {
    const [customers, vehicles, messages] = await Promise.all([
      this.customers.list(),
      this.vehicles.list(),
      this.outbox.list(),
    ]);
    return {
      customers: new Map(customers.map((row) => [row.id, row])),
      vehicles: new Map(vehicles.map((row) => [row.id, row])),
      messages,
      nowMs: this.clock.now(),
    };
  }

  private ownerOf(
    { vehicleId }: Pick<WashRecord, 'vehicleId'>,
    { vehicles, customers }: Book,
  ): Customer | undefined {
    return customers.get(vehicles.get(vehicleId)?.customerId ?? '');
  }

  private async aboutPlan(wash: WashRecord, book: Book): Promise<UnsentMessage | null> {
    const owner = this.ownerOf(wash, book);
    if (!owner) return null;
    const before = lastAbout(book, wash.id);
    const base = { customerId: owner.id, vehicleId: wash.vehicleId, wash, overnightC: null };
    if (!before || before.kind === 'called-off' || before.toldStartMs === null)
      return { ...base, kind: 'booked', lastSaid: null, against: null };
    const lastSaid = { startMs: before.toldStartMs, placeId: before.toldPlaceId ?? wash.placeId };
    if (lastSaid.startMs === wash.startMs && lastSaid.placeId === wash.placeId) return null;
    const detail = await this.verdicts.cellIfForecast({ ...wash, ...lastSaid });
    const judgement = detail?.judgement;
    const stands = judgement && judgement.standing !== 'go';
    const against = stands ? { verdict: judgement.standing, limiting: judgement.limiting } : null;
    return { ...base, kind: 'moved', lastSaid, against };
  }

  /** The newest messages about washes that are planned no more and have not been. */
  private goneWashes(washes: readonly WashRecord[], book: Book): MessageRecord[] {
    const still = new Set(washes.map(({ id }) => id));
    return book.messages.filter(
      (message) =>
        message.washId !== null &&
        !still.has(message.washId) &&
        lastAbout(book, message.washId) === message &&
        message.kind !== 'called-off' &&
        (message.toldStartMs ?? 0) > book.nowMs,
    );
  }

  private async calledOff(message: MessageRecord, book: Book): Promise<UnsentMessage | null> {
    const wash = message.washId === null ? null : await this.washes.findRemoved(message.washId);
    const owner = wash && this.ownerOf(wash, book);
    if (!owner || message.toldStartMs === null) return null;
    const lastSaid = { startMs: message.toldStartMs, placeId: message.toldPlaceId ?? wash.placeId };
    const detail = await this.verdicts.cellIfForecast({ ...wash, ...lastSaid });
    const judgement = detail?.judgement;
    const stands = judgement && judgement.standing !== 'go';
    return {
      kind: 'called-off',
      customerId: owner.id,
      vehicleId: wash.vehicleId,
      wash,
      lastSaid,
      against: stands ? { verdict: judgement.standing, limiting: judgement.limiting } : null,
      overnightC: null,
    };
  }

  private async aboutTonight(wash: WashRecord, book: Book): Promise<UnsentMessage | null> {
    const owner = this.ownerOf(wash, book);
    const isSent = book.messages.some(({ kind, washId }) => kind === 'freeze-care' && washId === wash.id);
    if (!owner || isSent) return null;
    const startMs = Math.max(wash.startMs, book.nowMs);
    const detail = await this.verdicts.cellIfForecast({ ...wash, startMs });
    const overnightC = detail?.overnightC ?? null;
    if (overnightC === null || overnightC >= 0) return null;
    const base = { customerId: owner.id, vehicleId: wash.vehicleId, wash, lastSaid: null, against: null };
    return { ...base, kind: 'freeze-care', overnightC };
  }

  /** Puts a message into the outbox. @throws 404 or 409 naming the field where it is nobody's car */
  async put(dto: PutMessageDto): Promise<MessageRecord> {
    const wash = (await this.washes.find(dto.washId)) ?? (await this.washes.findRemoved(dto.washId));
    if (!wash) throw notFound('wash', dto.washId);
    const owner = this.ownerOf(wash, await this.book());
    if (!owner) throw conflict('washId', 'This car belongs to nobody in the book.');
    const tells = dto.kind === 'freeze-care' ? null : wash;
    const record: MessageRecord = {
      id: randomUUID(),
      customerId: owner.id,
      vehicleId: wash.vehicleId,
      washId: wash.id,
      kind: dto.kind,
      body: dto.body,
      createdMs: this.clock.now(),
      toldStartMs: tells?.startMs ?? null,
      toldPlaceId: tells?.placeId ?? null,
      exportedMs: null,
    };
    await this.outbox.put(record);
    return record;
  }

  /** What waits in the outbox, marked as taken. */
  async take(): Promise<MessageRecord[]> {
    const waiting = (await this.outbox.list()).filter(({ exportedMs }) => exportedMs === null);
    await this.outbox.markTaken(
      waiting.map(({ id }) => id),
      this.clock.now(),
    );
    return waiting;
  }

  async setRemoved(id: string, isRemoved: boolean): Promise<void> {
    if (!(await this.outbox.setRemoved(id, isRemoved ? this.clock.now() : null)))
      throw notFound('message', id);
  }
}

const concernsTonight = ({ startMs }: WashRecord, nowMs: number): boolean =>
  startMs > nowMs - TONIGHT_HOURS.behind * MS_PER_HOUR && startMs < nowMs + TONIGHT_HOURS.ahead * MS_PER_HOUR;
