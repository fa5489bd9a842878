import { type Worker, hasLength } from '@keen/core';

/** Another pair of hands, under an id that is free; five days a week to begin with. */
export function newWorker(known: readonly Worker[]): Worker {
  const taken = new Set(known.map(({ id }) => id));
  let number = known.length + 1;
  while (taken.has(`worker-${number}`)) number += 1;
  const day = { openMinute: 540, closeMinute: 1020 };
  return {
    id: `worker-${number}`,
    name: `Helper ${number - 1}`,
    hours: [day, day, day, day, day, null, null],
  };
}

/** Faults by hands and field: `id.name`, or `id.weekday`. */
export function workersErrors(workers: readonly Worker[]): Record<string, string> {
  return Object.fromEntries(
    workers.flatMap(({ id, name, hours }) => [
      ...(name.trim() === '' ? [[`${id}.name`, 'Give a name.']] : []),
      ...hours.flatMap((span, day) =>
        span && !hasLength(span) ? [[`${id}.${day}`, 'It ends as it begins.']] : [],
      ),
    ]),
  ) as Record<string, string>;
}
