import type { MessagePort } from 'node:worker_threads';
import { FieldError } from '@keen/core';
import { Cancelled } from './cancelled.js';
import { Engine } from './engine.js';
import type { EngineJob, EngineProgress } from './engine-job.js';
import { type SharedWeather, WeatherReader } from './shared-weather.js';

const engine = new Engine();
const reader = new WeatherReader();

interface Order {
  readonly job: Omit<EngineJob, 'weather'>;
  readonly weather: SharedWeather;
  readonly port: MessagePort;
  /** Set to 1 when nobody waits for the answer any more. */
  readonly stop: Int32Array;
}

/** What comes back from the thread: errors lose their names and fields on the way, so the expected ones are told as data. */
export type Outcome =
  | { readonly kind: 'answer'; readonly answer: unknown }
  | { readonly kind: 'fault'; readonly fault: Pick<FieldError, 'code' | 'field' | 'message'> }
  | { readonly kind: 'cancelled' };

/** Runs one job in the worker thread; progress goes out on the port while it runs, and it stops between bands when told. */
export default function run(order: Order): Outcome {
  try {
    return { kind: 'answer', answer: work(order) };
  } catch (error) {
    if (error instanceof Cancelled) return { kind: 'cancelled' };
    if (!(error instanceof FieldError)) throw error;
    const { code, field, message } = error;
    return { kind: 'fault', fault: { code, field, message } };
  } finally {
    order.port.close();
  }
}

function work({ job: rest, weather, port, stop }: Order): unknown {
  const report = (progress: EngineProgress): void => {
    if (Atomics.load(stop, 0) === 1) throw new Cancelled();
    port.postMessage(progress);
  };
  if (Atomics.load(stop, 0) === 1) throw new Cancelled();
  const job = { ...rest, weather: reader.of(weather) } as EngineJob;
  switch (job.kind) {
    case 'grid':
      return engine.grid(job, (share) => report({ label: job.car.vehicle.id, share }));
    case 'plan':
      return engine.plan(job, report);
    case 'plan-tell':
      return engine.tell(job, report);
    case 'reliefs':
      return engine.reliefs(job, report);
    case 'moves':
      return engine.moves(job, (share) => report({ label: job.car.vehicle.id, share }));
    case 'salt':
      return engine.salt(job);
    case 'condition':
      return engine.condition(job);
    case 'cell':
      return engine.cell(job);
    case 'run-pack':
      return engine.runPack(job);
    case 'flips':
      return engine.flips(job);
    case 'balance':
      return engine.balance(job, (share) => report({ label: job.car.vehicle.id, share }));
    case 'cadence':
      return engine.cadence(job);
  }
}
