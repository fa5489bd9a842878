import type { HouseRules } from '../house-rules/index.js';
import { type Vehicle } from '../vehicle/index.js';
import { EXTRA_STEPS, STRIP_RINSE } from './data/methods.js';
import { type MethodRow } from './describe-method.js';
import type { Drying } from './method.js';
import type { WashStep, WashStepId } from './wash-step.js';

export type Row = MethodRow;

/** What of a car changes the way it is washed. */
export type WashedCar = Pick<Vehicle, 'delicateWheels'> &
  Partial<Pick<Vehicle, 'hasChargePort' | 'bodyClass'>>;

export type Edit = (row: Row, house: HouseRules, vehicle: WashedCar) => Row;

/** Mitts that make one per panel possible (practice: 7–8). */
const MITT_PER_PANEL = 7;

/** Folded towels that make rinseless by towel possible. */
const TOWELS_FOR_RINSELESS = 10;

const isIn =
  (ids: readonly WashStepId[]): ((step: WashStep) => boolean) =>
  (step) =>
    ids.includes(step.id);

const editSteps = (row: Row, edit: (steps: readonly WashStep[]) => readonly WashStep[]): Row => ({
  ...row,
  steps: edit(row.steps),
});

const mapStep = (row: Row, id: WashStepId, change: (step: WashStep) => WashStep): Row =>
  editSteps(row, (steps) => steps.map((step) => (step.id === id ? change(step) : step)));

/** Moves the wheels to the front, or behind all that washes the body. */
const wheelsOrder: Edit = (row, { choices }) => {
  const wheels = row.steps.filter(isIn(['wheels']));
  if (wheels.length === 0 || choices.wheels === 'by-method') return row;
  const others = row.steps.filter((step) => step.id !== 'wheels');
  if (choices.wheels === 'first') return { ...row, steps: [...wheels, ...others] };
  const finish = others.findIndex(isIn(['final-rinse', 'blow', 'towel', 'shuts']));
  return { ...row, steps: [...others.slice(0, finish), ...wheels, ...others.slice(finish)] };
};

/** Clings longer from the top: a minute more of dwell at both ends, and a little more comes off. */
const foamDirection: Edit = (row, { choices }) =>
  mapStep(row, 'foam', (step) => ({
    ...step,
    direction: choices.foam,
    dwell:
      choices.foam === 'top-down' && step.dwell
        ? { minMinutes: step.dwell.minMinutes + 1, maxMinutes: step.dwell.maxMinutes + 1 }
        : step.dwell,
    minutes: step.minutes + (choices.foam === 'top-down' ? 1 : 0),
  }));

/** One bucket saves ten litres and costs a mitt per panel. */
const buckets: Edit = (row, { choices, numbers }) => {
  if (!row.steps.some(isIn(['contact']))) return row;
  const one =
    choices.buckets === 'one' || (choices.buckets === 'by-kit' && numbers.mittsOwned >= MITT_PER_PANEL);
  const bothSoaped = choices.rinseBucketSoap === 'yes' && !one;
  const edited = mapStep(row, 'contact', (step) => ({
    ...step,
    litres: one ? step.litres / 2 : step.litres,
    mixLitres: one || !bothSoaped ? step.litres / 2 : step.litres,
  }));
  return {
    ...edited,
    media: { ...row.media, mitts: one ? MITT_PER_PANEL : row.media.mitts },
  };
};

/** By towels: few litres, many faces. By mitt: two buckets. */
const rinselessBy: Edit = (row, { choices, numbers }) => {
  if (!row.steps.some(isIn(['rinseless']))) return row;
  const towels =
    choices.rinselessBy === 'towels' ||
    (choices.rinselessBy === 'by-kit' && numbers.foldedTowelsOwned >= TOWELS_FOR_RINSELESS);
  if (towels) return row;
  const edited = mapStep(row, 'rinseless', (step) => ({ ...step, litres: step.litres + 8 }));
  return { ...edited, media: { ...row.media, foldedTowels: 2, mitts: 2 } };
};

/** Blowing, toweling or both: what each leaves is judged by the spots and seals rules. */
const dryingBy: Edit = (row, { choices }) => {
  // A way that touches nothing with a towel is dried by air, whatever the house does otherwise.
  if (row.drying.kind === 'left' || !row.steps.some(isIn(['towel']))) return row;
  const drying: Drying = { ...row.drying, by: choices.drying };
  const flooded = row.filmGramsPerM2 === null;
  switch (choices.drying) {
    case 'blow-and-towel':
      return { ...row, drying };
    case 'towel':
      return { ...editSteps(row, (steps) => steps.filter((step) => step.id !== 'blow')), drying };
    case 'blower':
      // A film put on by mitt or spray is always wiped; only a rinse can be blown off.
      return flooded
        ? {
            ...editSteps(row, (steps) =>
              steps
                .filter((step) => step.id !== 'towel')
                .map((step) => (step.id === 'blow' ? { ...step, minutes: step.minutes + 4 } : step)),
            ),
            drying,
            media: { ...row.media, dryingTowels: 0 },
          }
        : { ...row, drying: { ...row.drying, by: 'blow-and-towel' } };
  }
};

const STRIP: WashStep = {
  id: 'strip',
  groups: ['upper', 'lower'],
  minutes: 12,
  onMeter: false,
  litres: 4,
  contact: true,
  removes: {},
  dwell: { minMinutes: 3, maxMinutes: 5 },
};

const SEAL: WashStep = { ...STRIP, id: 'seal', minutes: 25, litres: 0, dwell: null };

/** Strips before the towel and seals after it; sealing wants warmth. */
const stripEachTime: Edit = (row, { choices }) => {
  const contactWash = row.steps.some(isIn(['contact', 'rinseless']));
  if (choices.strip === 'keep' || !contactWash || row.strips) return row;
  const finish = row.steps.findIndex(isIn(['final-rinse', 'blow', 'towel']));
  const isRinsed = row.steps.slice(finish).some(isIn(['final-rinse']));
  const strip = isRinsed ? [STRIP] : [STRIP, STRIP_RINSE];
  return {
    ...row,
    steps: [...row.steps.slice(0, finish), ...strip, ...row.steps.slice(finish), SEAL],
    strips: true,
  };
};

const underbodyBy: Edit = (row, { choices }) => {
  if (choices.underbody === 'both') return row;
  const dropped = choices.underbody === 'bounce' ? 'underbody-ramps' : 'underbody-bounce';
  return editSteps(row, (steps) => steps.filter((step) => step.id !== dropped));
};

/** The site's soap runs on the meter. */
const baySoap: Edit = (row, { choices }) => {
  if (choices.baySoap === 'own-foam' || !row.needs.includes('own-foam')) return row;
  const metered = mapStep(row, 'foam', (step) => ({ ...step, onMeter: true }));
  return {
    ...metered,
    needs: row.needs.filter((need) => need !== 'own-foam'),
  };
};

/** A rinse of the wheels first is paid; dry-foamed wheels are not, but grit stays on them. */
const wheelsRinse: Edit = (row, { choices }, { delicateWheels }) => {
  const metered = row.steps.some(({ onMeter }) => onMeter);
  if (!metered || (choices.wheelsBeforeRinse === 'off-meter' && !delicateWheels)) return row;
  const wheels = row.steps.findIndex(isIn(['wheels']));
  if (wheels < 0) return row;
  const rinse: WashStep = {
    id: 'rinse',
    groups: ['wheels'],
    minutes: 1,
    onMeter: true,
    litres: 9,
    contact: false,
    removes: { wheels: 0.3 },
    dwell: null,
  };
  return { ...row, steps: [...row.steps.slice(0, wheels), rinse, ...row.steps.slice(wheels)] };
};

/** Opened, dried and protected once the water is off; only where there is one, and where hands are at the car anyway. */
const chargePort: Edit = (row, _house, { hasChargePort = false }) => {
  const step = EXTRA_STEPS.find(({ id }) => id === 'charge-port');
  if (!hasChargePort || !step || row.drying.kind === 'left') return row;
  return { ...row, steps: [...row.steps, step] };
};

export const EDITS: readonly Edit[] = [
  wheelsRinse,
  wheelsOrder,
  foamDirection,
  buckets,
  rinselessBy,
  dryingBy,
  stripEachTime,
  underbodyBy,
  baySoap,
  chargePort,
];
