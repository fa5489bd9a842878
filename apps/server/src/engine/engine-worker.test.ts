import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { describe, expect, it } from '@jest/globals';
import {
  type AnswerProgress,
  carFacts,
  COLD_LAKE_PORT,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  EMPTY_SHELF,
  MS_PER_HOUR,
  shopPlaces,
  simulateWeather,
  type WeekQuestion,
} from '@keen/core';
import { DEMO_CLOCK, DEMO_PLACES, DEMO_VEHICLES, DEMO_ZONE } from '../demo/scenario.js';
import run, { type News } from './engine.worker.js';
import { SharedWriter } from './shared-memory.js';

const nowMs = Date.parse(DEMO_CLOCK);
const fromMs = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
const PAST_HOURS = 48;
const weather = (startMs: number, hourCount: number) =>
  simulateWeather({ climate: COLD_LAKE_PORT, seed: 1, fromMs: startMs, hourCount });

const [record] = DEMO_VEHICLES;
const [garage] = shopPlaces(DEMO_PLACES);
if (!record || !garage) throw new Error('the demo has no car or no place');

const QUESTION: WeekQuestion = {
  kind: 'week',
  places: [{ ...garage, methods: [{ methodId: 'waterless', priceMinor: 0 }] }],
  limits: DEFAULT_LIMITS,
  prices: DEFAULT_PRICES,
  house: DEFAULT_HOUSE,
  shelf: EMPTY_SHELF,
  drivesOn: 'right',
  season: DEFAULT_SEASON,
  timeZone: DEMO_ZONE,
  treatments: [],
  nowMs,
  weather: {
    stamp: 'worker',
    seasonMs: fromMs - PAST_HOURS * MS_PER_HOUR,
    fromMs,
    roadSights: [],
    observed: weather(fromMs - PAST_HOURS * MS_PER_HOUR, PAST_HOURS),
    control: weather(fromMs, 24),
    members: [],
  },
  car: carFacts(
    { ...record, customerId: null, washedBefore: null, knownSinceMs: fromMs - PAST_HOURS * MS_PER_HOUR },
    { washes: [], drives: [], swabs: [], looks: [], customers: [] },
    nowMs,
  ),
};

/** An order to the thread, whose port is listened to. */
function order(change: Partial<WeekQuestion> = {}, stopped = 0) {
  const { weather: told, ...question } = { ...QUESTION, ...change };
  const reports: AnswerProgress[] = [];
  const port = {
    postMessage: (news: News) => {
      if (news.kind === 'progress') reports.push(news.progress);
    },
    close: () => reports.push({ share: -1 } as AnswerProgress),
  } as unknown as MessagePort;
  const stop = new Int32Array(new SharedArrayBuffer(4));
  Atomics.store(stop, 0, stopped);
  return { told: reports, stop, given: { question, weather: new SharedWriter().of(told), port, stop } };
}

describe('the thread that answers', () => {
  it('answers, tells how far it is, and shuts its port', () => {
    const { told, given } = order();
    const outcome = run(given);
    expect(outcome).toMatchObject({ kind: 'answer', answer: { bands: expect.any(Array) } });
    const shares = told.map(({ share }) => share);
    expect(shares.at(-1)).toBe(-1);
    expect(shares.slice(0, -1).length).toBeGreaterThan(0);
  });

  it('begins nothing for which nobody waits any more', () => {
    const { told, given } = order({}, 1);
    expect(run(given)).toEqual({ kind: 'cancelled' });
    expect(told.map(({ share }) => share)).toEqual([-1]);
  });

  it('stops at its next report once nobody waits', () => {
    const { told, stop, given } = order({ weather: { ...QUESTION.weather, stamp: 'other' } });
    const post = given.port.postMessage.bind(given.port);
    given.port.postMessage = (progress: unknown) => {
      post(progress);
      Atomics.store(stop, 0, 1);
    };
    const changed = {
      ...given,
      question: { ...given.question, limits: { ...DEFAULT_LIMITS, inHandFraction: 0.5 } },
    };
    expect(run(changed)).toEqual({ kind: 'cancelled' });
    expect(told.filter(({ share }) => share >= 0)).toHaveLength(1);
  });

  it('tells a fault of the question as data, with its field', () => {
    const { told, given } = order({ places: [{ ...garage, latitudeDeg: 999 }] });
    expect(run(given)).toMatchObject({
      kind: 'fault',
      fault: { code: 'out-of-range', field: 'latitudeDeg', message: expect.stringContaining('999') },
    });
    expect(told.at(-1)?.share).toBe(-1);
  });

  it('throws what is the program’s own fault', () => {
    const { told, given } = order();
    expect(() => run({ ...given, question: { kind: 'none' } as never })).toThrow();
    expect(told.at(-1)?.share).toBe(-1);
  });

  it('is given a port that carries its reports', async () => {
    const { port1, port2 } = new MessageChannel();
    const heard = new Promise<News>((resolve) => port1.once('message', resolve));
    run({ ...order({ weather: { ...QUESTION.weather, stamp: 'third' } }).given, port: port2 });
    expect(await heard).toMatchObject({ kind: 'progress', progress: { label: QUESTION.car.vehicle.id } });
    port1.close();
  });
});
