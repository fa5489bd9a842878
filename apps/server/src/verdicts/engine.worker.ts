import type { MessagePort } from 'node:worker_threads';
import { Engine } from './engine.js';
import type { EngineJob, EngineProgress } from './engine-job.js';

const engine = new Engine();

/** Runs one job in the worker thread; progress goes out on the port while it runs. */
export default function run({ job, port }: { job: EngineJob; port: MessagePort }): unknown {
  const report = (progress: EngineProgress): void => port.postMessage(progress);
  try {
    switch (job.kind) {
      case 'grid':
        return engine.grid(job, (share) => report({ label: job.vehicle.id, share }));
      case 'morning':
        return engine.morning(job, report);
      case 'salt':
        return engine.salt(job);
    }
  } finally {
    port.close();
  }
}
