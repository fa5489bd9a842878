import type { PlanRequest } from './plan-request.js';
import { busyOf, type Span, spansMeet, type Worker, workersMeet, worksThrough } from './workers.js';

/** When a span of work can be done by whom; asked for the same spans by many cars. */
export function freeWorkers(request: PlanRequest): (span: Span) => readonly Worker[] {
  const known = new Map<string, readonly Worker[]>();
  return (span) => {
    const key = `${span.fromMs} ${span.toMs}`;
    const before = known.get(key);
    if (before) return before;
    const free = request.workers.filter((worker) => {
      const engaged = request.busy.filter(({ workerId }) => workerId === null || workerId === worker.id);
      const own = request.fixed.filter(({ workerId }) => workerId === worker.id);
      return (
        worksThrough(worker, span, request.timeZone) &&
        !engaged.some((other) => spansMeet(span, other)) &&
        !own.some((slot) => workersMeet(span, busyOf(slot, request.places), request.restMinutes))
      );
    });
    known.set(key, free);
    return free;
  };
}
