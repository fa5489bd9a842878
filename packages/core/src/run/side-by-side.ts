import { takesOff } from '../kit/index.js';
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

export interface SideBySide {
  readonly steps: readonly SharedStep[];
  readonly minutes: number;
  /** Against one car after the other, minutes. */
  readonly savedMinutes: number;
}

/** Putting a product on takes at least so long (judgement). */
const LEAST_APPLYING_MINUTES = 1;

/** Hands are free while a product works: what is left of the step is putting it on. */
const handsMinutes = ({ minutes, dwell }: RunStep): number =>
  dwell ? Math.min(minutes, Math.max(LEAST_APPLYING_MINUTES, minutes - dwell.minMinutes)) : minutes;

interface Lying {
  readonly step: RunStep;
  readonly earliest: number;
  readonly latest: number;
}

interface Car {
  readonly left: readonly RunStep[];
  readonly lying: readonly Lying[];
}

/** Steps that are done in one go: a paid run of the meter is not left for the other car. */
function inOneGo({ left }: Pick<Car, 'left'>): number {
  const ends = left.findIndex((step, i) => !(step.onMeter && left[i + 1]?.onMeter && !step.stopsMeter));
  return left.length === 0 ? 0 : ends + 1;
}

/** When the next step of a car may begin, and by when what it takes off must be off. */
function nextOf({ left, lying }: Car, now: number): { ready: number; due: number } | null {
  const [step] = left;
  if (!step) return null;
  const off = lying.filter((product) => takesOff(step, product.step));
  return {
    ready: Math.max(now, ...off.map(({ earliest }) => earliest)),
    due: Math.min(Infinity, ...lying.map(({ latest }) => latest)),
  };
}

/** The car that is worked on next: none whose work would let the other's product lie too long; then who is ready first, then who is due first. */
function pick(cars: readonly [Car, Car], now: number): 0 | 1 {
  const [a, b] = [nextOf(cars[0], now), nextOf(cars[1], now)];
  if (!a || !b) return a ? 0 : 1;
  const endOf = (car: Car, ready: number): number =>
    car.left.slice(0, inOneGo(car)).reduce((end, step) => end + handsMinutes(step), ready);
  const spoilsB = endOf(cars[0], a.ready) > b.due;
  const spoilsA = endOf(cars[1], b.ready) > a.due;
  if (spoilsB !== spoilsA) return spoilsB ? 1 : 0;
  if (a.ready !== b.ready) return a.ready < b.ready ? 0 : 1;
  return a.due <= b.due ? 0 : 1;
}

/** What is covered by another product stays wet as long as that one does. */
const keptWet = (lying: readonly Lying[], over: readonly Lying[]): Lying[] =>
  lying.map((product) => {
    const cover = over.find(({ step }) => covers(step, product.step));
    return cover ? { ...product, latest: Math.max(product.latest, cover.latest) } : product;
  });

function worked(car: Car, now: number): { car: Car; shared: Omit<SharedStep, 'car'> } | null {
  const [step, ...left] = car.left;
  const next = nextOf(car, now);
  if (!step || !next) return null;
  const minutes = handsMinutes(step);
  const off = car.lying.filter((product) => takesOff(step, product.step));
  const put: Lying[] = step.dwell
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

const alone = (steps: readonly RunStep[]): number => {
  let car: Car = { left: steps, lying: [] };
  let now = 0;
  for (let did = worked(car, now); did; did = worked(car, now)) {
    ({ car } = did);
    now = did.shared.fromMinute + did.shared.minutes;
  }
  return now;
};

/**
 * In which order does one pair of hands wash two cars that stand side by side?
 *
 * @param first steps of the one car, in their order
 * @param second steps of the other
 * @returns every step of both, each car's own order kept: while a product works on one the other is worked on, and what has lain
 * longest comes off first; a paid run of a meter is not left for the other car; minutes in all and those saved against one after the other
 * Model: list scheduling by readiness, then by the latest end of what lies on the car (judgement); dwell as the sheets have it
 */
export function sideBySide(first: readonly RunStep[], second: readonly RunStep[]): SideBySide {
  let cars: readonly [Car, Car] = [
    { left: first, lying: [] },
    { left: second, lying: [] },
  ];
  const steps: SharedStep[] = [];
  let now = 0;
  while (cars[0].left.length + cars[1].left.length > 0) {
    const which = pick(cars, now);
    for (let go = inOneGo(cars[which]); go > 0; go -= 1) {
      const did = worked(cars[which], now);
      if (!did) break;
      steps.push({ car: which, ...did.shared });
      cars = which === 0 ? [did.car, cars[1]] : [cars[0], did.car];
      now = did.shared.fromMinute + did.shared.minutes;
    }
  }
  return { steps, minutes: now, savedMinutes: alone(first) + alone(second) - now };
}
