import { type PartId, type RunStep, sectionOfPart, type WetEdge } from '@keen/core';

const LEAST_MINUTES = 10;
const MOST_MINUTES = 60;

/** Minutes that a full bar stands for: what the slowest panel takes, within ten minutes and an hour. */
export function edgeScaleMinutes(edges: readonly Pick<WetEdge, 'minutes'>[]): number {
  const known = edges.flatMap(({ minutes }) => minutes ?? []);
  return Math.min(MOST_MINUTES, Math.max(LEAST_MINUTES, ...known));
}

/** ": 8 clean, launder 4", where there are too few. */
export const shortText = (wanted: number, clean: number | null): string =>
  clean === null || clean >= wanted ? '' : `: ${clean} clean, launder ${wanted - clean}`;

/** "1 mitt", "2 mitts". */
export const countText = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;

/** One step on the whole car, or steps that go round part by part. */
export type SheetBlock =
  | { readonly kind: 'step'; readonly step: RunStep }
  | {
      readonly kind: 'round';
      readonly parts: readonly {
        readonly part: PartId;
        readonly fromMinute: number;
        readonly minutes: number;
      }[];
      /** Each once, with what it takes on all parts together. */
      readonly steps: readonly RunStep[];
    };

/** The same step on two parts, as one. */
function together(a: RunStep, b: RunStep): RunStep {
  const mix = a.mix &&
    b.mix && {
      ...a.mix,
      productMl: a.mix.productMl + b.mix.productMl,
      waterMl: a.mix.waterMl + b.mix.waterMl,
      caps: a.mix.caps === null || b.mix.caps === null ? null : a.mix.caps + b.mix.caps,
    };
  const isNew = (fault: RunStep['faults'][number]): boolean =>
    !a.faults.some((known) => JSON.stringify(known) === JSON.stringify(fault));
  // Of the dwells on several parts the shortest is the one to mind.
  const dwell = a.dwell && b.dwell && b.dwell.maxMinutes < a.dwell.maxMinutes ? b.dwell : a.dwell;
  return {
    ...a,
    dwell,
    minutes: a.minutes + b.minutes,
    litres: a.litres + b.litres,
    mix,
    stopsMeter: a.stopsMeter || b.stopsMeter,
    faults: [...a.faults, ...b.faults.filter(isNew)],
  };
}

function roundOf(steps: readonly RunStep[]): SheetBlock {
  const parts: { part: PartId; fromMinute: number; minutes: number }[] = [];
  const merged: RunStep[] = [];
  for (const step of steps) {
    const last = parts.at(-1);
    if (step.part && last?.part === step.part) last.minutes += step.minutes;
    else if (step.part) parts.push({ part: step.part, fromMinute: step.fromMinute, minutes: step.minutes });
    const at = merged.findIndex(({ id }) => id === step.id);
    const known = merged[at];
    if (known) merged[at] = together(known, step);
    else merged.push(step);
  }
  return { kind: 'round', parts, steps: merged };
}

/** Is this part of another section than the round, or one that the round has left already? */
function beginsAnew(round: readonly RunStep[], part: PartId): boolean {
  const last = round.at(-1)?.part;
  if (!last || last === part) return false;
  return sectionOfPart(last) !== sectionOfPart(part) || round.some((step) => step.part === part);
}

/** The steps of a sheet with those that go round gathered, so that a person reads each once. */
export function sheetBlocks(steps: readonly RunStep[]): SheetBlock[] {
  const blocks: SheetBlock[] = [];
  let round: RunStep[] = [];
  const close = (): void => {
    if (round.length > 0) blocks.push(roundOf(round));
    round = [];
  };
  for (const step of steps) {
    if (step.part) {
      if (beginsAnew(round, step.part)) close();
      round.push(step);
    } else {
      close();
      blocks.push({ kind: 'step', step });
    }
  }
  close();
  return blocks;
}
