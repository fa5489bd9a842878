import { isOffAtItsEnd, takesOff } from '../kit/index.js';
import { STEP_KINDS } from '../method/index.js';
import { covers, type RunStep } from './run-step.js';

/** One step of one of two cars, in the order for one pair of hands. */
export interface SharedStep {
  /** Which of the two. */
  readonly car: 0 | 1;
  readonly step: RunStep;
  /** From the beginning of the first step, minutes. */
  readonly fromMinute: number;
  /** With hands at it. */
  readonly minutes: number;
  /** Spent waiting for a product before it, minutes. */
  readonly waitMinutes: number;
  /** A product that it takes off has lain too long when it begins, minutes over; 0: none has. */
  readonly overMinutes: number;
}

/**
 * When the hands stay with a car: `meter` for as long as its paid run goes on; `wet` also from its first water until that is wiped off, so
 * that nothing freezes or dries meanwhile; `all` until it is done.
 */
export const HOLDS = ['meter', 'wet', 'all'] as const;
export type Hold = (typeof HOLDS)[number];

/** Putting a product on takes at least so long (judgement). */
const LEAST_APPLYING_MINUTES = 1;

/** Hands are free while a product works: what is left of the step is putting it on. */
const handsMinutes = ({ minutes, dwell }: RunStep): number =>
  dwell ? Math.min(minutes, Math.max(LEAST_APPLYING_MINUTES, minutes - dwell.minMinutes)) : minutes;

export interface Lying {
  readonly step: RunStep;
  readonly earliest: number;
  readonly latest: number;
}

export interface Car {
  readonly left: readonly RunStep[];
  readonly lying: readonly Lying[];
  /** Water that nobody works with stands on it. */
  readonly isWet: boolean;
}

/** Does water stand on the body after this step, that a hand or a towel has to come to? A product that works there is waited for anyway. */
export function wetAfter(isWet: boolean, { id, dwell }: RunStep): boolean {
  const { wets, takes } = STEP_KINDS[id];
  if (takes === 'wipe') return false;
  return wets !== null && dwell === null ? true : isWet;
}

/** Do the hands stay with this car after a step of it? */
export function isHeld(
  { step, next }: { readonly step: RunStep; readonly next: RunStep | undefined },
  isWet: boolean,
  hold: Hold,
): boolean {
  if (!next) return false;
  if (hold === 'all') return true;
  return (step.onMeter && next.onMeter && !step.stopsMeter) || (hold === 'wet' && isWet);
}

/** Steps that are done in one go. */
export function inOneGo({ left, isWet }: Car, hold: Hold): number {
  let wet = isWet;
  const ends = left.findIndex((step, i) => {
    wet = wetAfter(wet, step);
    return !isHeld({ step, next: left[i + 1] }, wet, hold);
  });
  return left.length === 0 ? 0 : ends + 1;
}

interface Next {
  readonly ready: number;
  readonly due: number;
}

/** When the next step of a car may begin, and by when what it takes off must be off. */
function nextOf({ left, lying }: Car, now: number): Next | null {
  const [step] = left;
  if (!step) return null;
  const off = lying.filter((product) => takesOff(step, product.step));
  return {
    ready: Math.max(now, ...off.map(({ earliest }) => earliest)),
    due: Math.min(Infinity, ...lying.map(({ latest }) => latest)),
  };
}

/** Does what this step puts on stay there when it is over? */
const stays = (step: RunStep | undefined): boolean =>
  step !== undefined && step.dwell !== null && !isOffAtItsEnd(step, step.mix?.product?.inUsePh ?? null);

/**
 * The car that is worked on next: none whose work would let a product lie too long, the other's or its own, which has to wait for what is
 * due before it; then who is ready first, then whose product would work while the other is worked on, then who is due first.
 */
export function pick(cars: readonly [Car, Car], now: number, hold: Hold): 0 | 1 {
  const [a, b] = [nextOf(cars[0], now), nextOf(cars[1], now)];
  if (!a || !b) return a ? 0 : 1;
  const endOf = (car: Car, ready: number): number =>
    car.left.slice(0, inOneGo(car, hold)).reduce((end, step) => end + handsMinutes(step), ready);
  const spoils = (mine: 0 | 1, me: Next, other: Next): boolean => {
    const [step] = cars[mine].left;
    const end = endOf(cars[mine], me.ready);
    if (end > other.due) return true;
    // What is put on now comes off only when the hands are back from what is due sooner.
    const latest = step?.dwell && stays(step) ? me.ready + step.dwell.maxMinutes : Infinity;
    return other.due < latest && endOf(cars[mine === 0 ? 1 : 0], Math.max(end, other.ready)) > latest;
  };
  const spoilsB = spoils(0, a, b);
  const spoilsA = spoils(1, b, a);
  if (spoilsB !== spoilsA) return spoilsB ? 1 : 0;
  if (a.ready !== b.ready) return a.ready < b.ready ? 0 : 1;
  const [laysA, laysB] = [stays(cars[0].left[0]), stays(cars[1].left[0])];
  if (laysA !== laysB) return laysA ? 0 : 1;
  return a.due <= b.due ? 0 : 1;
}

/** What is covered by another product stays wet as long as that one does. */
const keptWet = (lying: readonly Lying[], over: readonly Lying[]): Lying[] =>
  lying.map((product) => {
    const cover = over.find(({ step }) => covers(step, product.step));
    return cover ? { ...product, latest: Math.max(product.latest, cover.latest) } : product;
  });

export function worked(car: Car, now: number): { car: Car; shared: Omit<SharedStep, 'car'> } | null {
  const [step, ...left] = car.left;
  const next = nextOf(car, now);
  if (!step || !next) return null;
  const minutes = handsMinutes(step);
  const off = car.lying.filter((product) => takesOff(step, product.step));
  const put: Lying[] =
    step.dwell && stays(step)
      ? [
          {
            step,
            earliest: next.ready + step.dwell.minMinutes,
            latest: next.ready + step.dwell.maxMinutes,
          },
        ]
      : [];
  return {
    car: {
      left,
      isWet: wetAfter(car.isWet, step),
      lying: [
        ...keptWet(
          car.lying.filter((product) => !off.includes(product)),
          put,
        ),
        ...put,
      ],
    },
    shared: {
      step,
      fromMinute: next.ready,
      minutes,
      waitMinutes: next.ready - now,
      overMinutes: Math.max(0, ...off.map(({ latest }) => next.ready - latest)),
    },
  };
}
