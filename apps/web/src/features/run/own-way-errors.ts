import type { OwnDetails, OwnStep } from './own-way.js';

const MOST_MINUTES = 240;

const MOST_LITRES = 500;
const MOST_PARTS = 5000;
const within = (value: number | string, from: number, to: number): boolean =>
  value !== '' && Number(value) >= from && Number(value) <= to;

/** What is wrong with one field of a step. */
export interface StepErrors {
  readonly minutes?: string;
  readonly groups?: string;
  readonly litres?: string;
  readonly dwell?: string;
  readonly parts?: string;
}

function dwellError({ dwellMin, dwellMax }: OwnDetails): string | undefined {
  if (dwellMin === '' && dwellMax === '') return undefined;
  if (!within(dwellMin, 0, MOST_MINUTES) || !within(dwellMax, 0, MOST_MINUTES))
    return `From 0 to ${MOST_MINUTES}, both of them.`;
  return Number(dwellMax) < Number(dwellMin) ? 'The longest is shorter than the shortest.' : undefined;
}

function errorsOf({ minutes, own, shipped }: OwnStep): StepErrors {
  const errors: Record<keyof StepErrors, string | undefined> = {
    minutes:
      Number(minutes) > 0 && Number(minutes) <= MOST_MINUTES ? undefined : `Above 0, up to ${MOST_MINUTES}.`,
    groups: own.groups.length > 0 || shipped.groups.length === 0 ? undefined : 'At least one.',
    litres: within(own.litres, 0, MOST_LITRES) ? undefined : `From 0 to ${MOST_LITRES} L.`,
    dwell: dwellError(own),
    parts: own.parts === '' || within(own.parts, 0, MOST_PARTS) ? undefined : `From 0 to ${MOST_PARTS}.`,
  };
  return Object.fromEntries(Object.entries(errors).filter(([, text]) => text !== undefined));
}

/** What is wrong with each step, by its key; steps without faults, and those left out, are not there. */
export const stepErrors = (steps: readonly OwnStep[]): Record<string, StepErrors> =>
  Object.fromEntries(
    steps.flatMap((step) => {
      const errors = step.isLeftOut ? {} : errorsOf(step);
      return Object.keys(errors).length > 0 ? [[step.key, errors]] : [];
    }),
  );
