import { ACID_PH, type ProductReason, type WashStep } from '../method/index.js';
import { PRODUCT_ROLES, type ProductRole } from '../protection/index.js';
import { stepProductRow, type StepProductRow } from './data/step-products.js';
import { TYPICAL_PRODUCTS } from './data/typical-products.js';
import { HARM, type MeetingCase, worstMeeting } from './meeting.js';
import type { Shelf, ShelfBottle } from './shelf.js';

/** What decides which bottle a step takes. */
export interface ChoiceCase extends MeetingCase {
  readonly shelf: Shelf;
  /** Of which bottle a step takes, where the shop says so. */
  readonly choices?: Readonly<Partial<Record<string, string>>>;
  /** Coldest air where it is used, °C; absent or null: warm enough for any label. */
  readonly placeC?: number | null;
}

const NEUTRAL_PH = 7;
interface Candidate {
  readonly bottle: ShelfBottle;
  readonly harm: number;
  readonly isTooCold: boolean;
}

const isTooCold = (
  { lowestWorkC }: Pick<ShelfBottle, 'lowestWorkC'>,
  placeC: number | null | undefined,
): boolean => lowestWorkC !== null && placeC != null && placeC < lowestWorkC;

/** What works in that cold, the least harm, what is not empty, the order of roles, the mildest, what works in most cold, the cheapest. */
function byPreference(roles: readonly ProductRole[]): (a: Candidate, b: Candidate) => number {
  const keysOf = ({ bottle, harm, isTooCold: isCold }: Candidate): number[] => [
    Number(isCold),
    harm,
    Number(bottle.isEmpty),
    roles.indexOf(bottle.role),
    Math.abs(bottle.inUsePh - NEUTRAL_PH),
    bottle.lowestWorkC ?? -Infinity,
    bottle.priceMinor / bottle.bottleMl,
  ];
  return (a, b) => {
    const other = keysOf(b);
    for (const [i, key] of keysOf(a).entries()) {
      const against = other[i] ?? 0;
      if (key !== against) return key < against ? -1 : 1;
    }
    return a.bottle.id < b.bottle.id ? -1 : 1;
  };
}

/** Bottles that a step may take without being asked: acid only where the step is for acid. */
function isOffered({ roles }: StepProductRow, { role, inUsePh }: ShelfBottle): boolean {
  const [meant] = roles;
  const isForAcid = meant !== undefined && PRODUCT_ROLES[meant].typicalPh <= ACID_PH;
  return roles.includes(role) && (inUsePh > ACID_PH || isForAcid);
}

const candidate = (bottle: ShelfBottle, step: WashStep, of: ChoiceCase): Candidate => ({
  bottle,
  harm: HARM[worstMeeting(bottle, step.groups, of)?.finding.kind ?? 'fine'],
  isTooCold: isTooCold(bottle, of.placeC),
});

const bestOf = (candidates: readonly Candidate[], roles: readonly ProductRole[]): Candidate | undefined =>
  candidates.toSorted(byPreference(roles))[0];

/** The bottle of this step and why; null: the kit holds none. */
export function bottleFor(
  row: StepProductRow,
  step: WashStep,
  of: ChoiceCase,
): { readonly bottle: ShelfBottle; readonly because: ProductReason } | null {
  const { bottles } = of.shelf;
  const asked = step.ownBottle ?? of.choices?.[step.id];
  const chosen = bottles.find(
    ({ id, role }) => id === asked && [...row.roles, ...row.onlyAsked].includes(role),
  );
  if (chosen) return { bottle: chosen, because: 'chosen' };
  const candidates = bottles
    .filter((bottle) => isOffered(row, bottle))
    .map((bottle) => candidate(bottle, step, of));
  const best = bestOf(candidates, row.roles);
  if (!best) return null;
  const inMildAir = bestOf(
    candidates.map((one) => ({ ...one, isTooCold: false })),
    row.roles,
  );
  if (inMildAir && inMildAir.bottle !== best.bottle) return { bottle: best.bottle, because: 'cold' };
  return { bottle: best.bottle, because: reasonOf(best.bottle, row, bottles) };
}

function reasonOf(
  { role }: ShelfBottle,
  row: StepProductRow,
  bottles: readonly ShelfBottle[],
): ProductReason {
  const [meant] = row.roles;
  const countOf = (wanted: ProductRole | undefined): number =>
    bottles.filter((bottle) => bottle.role === wanted).length;
  if (role !== meant) return countOf(meant) > 0 ? 'gentler' : 'stand-in';
  if (countOf(role) > 1) return 'mildest';
  return bottlesFor(row.step, bottles).length > 1 ? 'meant' : 'only-one';
}

const typicalBottle = (role: ProductRole): ShelfBottle => {
  const { litreMinor, usualParts, fewestParts, mostParts, lowestWorkC } = TYPICAL_PRODUCTS[role];
  return {
    id: '',
    name: '',
    role,
    inUsePh: PRODUCT_ROLES[role].typicalPh,
    usualParts,
    fewestParts,
    mostParts,
    capMl: null,
    carMl: null,
    dwell: null,
    lowestWorkC,
    bottleMl: 1000,
    priceMinor: litreMinor,
    isEmpty: false,
  };
};

/** Of the typical labels of a step the one that would be taken were they all on the shelf. */
export function typicalFor({ roles }: StepProductRow, step: WashStep, of: ChoiceCase): ShelfBottle {
  const typical = roles.map((role) => candidate(typicalBottle(role), step, of));
  return bestOf(typical, roles)?.bottle ?? typicalBottle('shampoo');
}

/** Bottles that a step could take, those that it takes only when the shop says so among them. */
export function bottlesFor<B extends Pick<ShelfBottle, 'role'>>(
  stepId: WashStep['id'],
  bottles: readonly B[],
): B[] {
  const row = stepProductRow(stepId);
  return row ? bottles.filter(({ role }) => row.roles.includes(role) || row.onlyAsked.includes(role)) : [];
}
