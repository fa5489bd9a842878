import { type CarZone, FieldError, swab, type SwabInput } from '@keen/core';

/** What is typed of a reading of the patch. */
export interface SwabDraft {
  readonly at: string;
  readonly zone: CarZone;
  readonly delta: number | null;
  readonly volumeMl: number | null;
  readonly areaMm2: number | null;
}

const MISSING: Readonly<Record<keyof SwabInput, string>> = {
  deltaMicroSiemensPerCm: 'Give the rise: from 0 to 200 000 µS/cm.',
  volumeMl: 'Give the water: above 0 mL.',
  areaMm2: 'Give the patch: above 0 mm².',
};
const OUTSIDE: Readonly<Record<keyof SwabInput, string>> = {
  deltaMicroSiemensPerCm: 'From 0 to 200 000 µS/cm: saturated brine has no more.',
  volumeMl: 'From 0.1 to 10 000 mL.',
  areaMm2: 'From 1 to 10 000 000 mm².',
};

/** What the patch found, or what is wrong with the reading, by field. */
export type SwabReading =
  | { readonly kind: 'found'; readonly input: SwabInput; readonly gramsPerM2: number }
  | { readonly kind: 'faulty'; readonly errors: Readonly<Partial<Record<keyof SwabInput, string>>> };

/** Reads what is typed; never throws, since it is asked with each key. */
export function readSwab({ delta, volumeMl, areaMm2 }: SwabDraft): SwabReading {
  const typed = { deltaMicroSiemensPerCm: delta, volumeMl, areaMm2 };
  const missing = (Object.keys(typed) as (keyof SwabInput)[]).filter((field) => typed[field] === null);
  if (delta === null || volumeMl === null || areaMm2 === null)
    return { kind: 'faulty', errors: Object.fromEntries(missing.map((field) => [field, MISSING[field]])) };
  const input: SwabInput = { deltaMicroSiemensPerCm: delta, volumeMl, areaMm2 };
  try {
    return { kind: 'found', input, gramsPerM2: swab(input).mgPerM2 / 1000 };
  } catch (error) {
    if (!(error instanceof FieldError)) throw error;
    const field = error.field as keyof SwabInput;
    return { kind: 'faulty', errors: { [field]: OUTSIDE[field] } };
  }
}
