import { z } from 'zod';
import { fromNames, solveSchedule } from '../schedule/index.js';
import { defineSolver } from './calculator.js';
import { number } from './fields.js';

const id = z.union([z.string(), z.number()]).transform(String);
const whole = z.number().int().min(0);
const minutes = z.number().min(0).meta({ unit: 'min' });
const DEFAULT_SECONDS = 10;

export const scheduleSum = defineSolver({
  name: 'schedule',
  question: 'Which job when, where and by whom, so that all together is worth the most?',
  input: z.strictObject({
    slotMinutes: z.number().positive().meta({ unit: 'min' }),
    slotCount: z.number().int().min(1).max(100_000),
    jobs: z.array(id),
    places: z.array(z.strictObject({ id, capacity: z.array(whole) })),
    travelMinutes: z.array(z.array(minutes)),
    options: z.array(
      z.strictObject({
        job: id,
        place: id,
        startSlot: whole,
        durationMinutes: z.number().positive().meta({ unit: 'min' }),
        crew: z.boolean(),
        value: z.number().meta({ unit: 'any one currency' }),
      }),
    ),
    timeLimitSeconds: z.number().positive().max(3600).meta({ unit: 's' }).optional(),
  }),
  output: z.object({
    chosen: z.array(whole).readonly(),
    value: number('as in the options'),
    bound: number('as in the options'),
    status: z.enum(['proven', 'feasible']),
  }),
  solve: (input, { clockSeconds, isOver }) =>
    solveSchedule(fromNames(input), {
      clockSeconds,
      isOver,
      timeLimitSeconds: input.timeLimitSeconds ?? DEFAULT_SECONDS,
    }),
});
