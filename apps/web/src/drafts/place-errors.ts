import { hasLength, MOST_DRIVE_MINUTES, MOST_MINOR } from '@keen/core';
import { KIND_FACTS } from './kind-facts.js';
import type { PlaceDraft, TariffDraft, WaterDraft } from './place-draft.js';

export type PlaceErrors = Readonly<Record<string, string>>;

const RANGES: readonly {
  field: string;
  read: (draft: PlaceDraft) => number | null;
  low: number;
  high: number;
  unit: string;
}[] = [
  { field: 'latitudeDeg', read: (draft) => draft.latitudeDeg, low: -90, high: 90, unit: 'degrees' },
  { field: 'longitudeDeg', read: (draft) => draft.longitudeDeg, low: -180, high: 180, unit: 'degrees' },
  { field: 'carHeadingDeg', read: (draft) => draft.carHeadingDeg, low: 0, high: 360, unit: 'degrees' },
  { field: 'travelMinutes', read: (draft) => draft.travelMinutes, low: 0, high: 600, unit: 'minutes' },
  { field: 'carsAtOnce', read: (draft) => draft.carsAtOnce, low: 1, high: 20, unit: 'cars' },
];

/** What one may stay there; nothing: as long as one likes. */
const stayError = ({ mostMinutes }: Pick<PlaceDraft, 'mostMinutes'>): string | undefined =>
  mostMinutes !== null && (mostMinutes < 1 || mostMinutes > 1440) ? 'From 1 to 1440 minutes.' : undefined;

const isBetween = (value: number | null, low: number, high: number): boolean =>
  value !== null && value >= low && value <= high;

function waterErrors(water: WaterDraft, prefix: string): Record<string, string> {
  const errors: Record<string, string> = {};
  const check = (field: keyof WaterDraft, high: number, unit: string): void => {
    const value = water[field];
    if (typeof value !== 'number' || value < 0 || value > high)
      errors[`${prefix}.${field}`] = `From 0 to ${high} ${unit}.`;
  };
  check('hardnessMgPerLitre', 10_000, 'mg/L');
  check('tdsMgPerLitre', 50_000, 'mg/L');
  check('tempC', 60, '°C');
  if (water.name.trim() === '') errors[`${prefix}.name`] = 'Give the water a name.';
  return errors;
}

function tariffErrors(tariff: TariffDraft): Record<string, string> {
  const errors: Record<string, string> = {};
  const check = (
    field: Exclude<keyof TariffDraft, 'pausable'>,
    [low, high]: readonly [number, number],
    text: string,
  ): void => {
    const value = tariff[field];
    if (value === null || value < low || value > high) errors[`tariff.${field}`] = text;
  };
  check('startPriceMinor', [0, MOST_MINOR], 'From 0 to 1,000,000.');
  check('startSeconds', [0, 36_000], 'From 0 to 36,000 s.');
  check('blockPriceMinor', [0, MOST_MINOR], 'From 0 to 1,000,000.');
  check('blockSeconds', [1, 36_000], 'From 1 to 36,000 s.');
  return errors;
}

/** What is said of the air indoors has to be in reach of a thermometer; what is not asked for is not looked at. */
function airErrors({ kind, indoorAir, setpointC, usualC, readC }: PlaceDraft): Record<string, string> {
  if (KIND_FACTS[kind].shelter !== 'indoors') return {};
  const within = (value: number | null): boolean => isBetween(value, -40, 50);
  const reach = 'From −40 to 50 °C.';
  switch (indoorAir) {
    case 'kept':
      return isBetween(setpointC, -10, 35) ? {} : { setpointC: 'From −10 to 35 °C.' };
    case 'usual':
      return within(usualC) ? {} : { usualC: reach };
    case 'read':
      return within(readC) ? {} : { readC: reach };
    case 'model':
      return {};
  }
}

/** The form's faults by field. */
export function placeErrors(draft: PlaceDraft): PlaceErrors {
  const errors: Record<string, string> = {};
  if (draft.name.trim() === '') errors.name = 'Give it a name.';
  for (const { field, read, low, high, unit } of RANGES) {
    const value = read(draft);
    if (value === null || value < low || value > high)
      errors[field] = `From ${low} to ${high} ${unit}`.trim() + '.';
  }
  const stay = stayError(draft);
  if (stay) errors.mostMinutes = stay;
  Object.assign(errors, airErrors(draft));
  if (draft.finishPlaceId !== null && !isBetween(draft.finishMinutes, 0, MOST_DRIVE_MINUTES))
    errors.finishMinutes = `From 0 to ${MOST_DRIVE_MINUTES} minutes.`;
  if (draft.finishPlaceId !== null && !isBetween(draft.finishMinor, 0, MOST_MINOR))
    errors.finishMinor = 'From 0 to 1,000,000.';
  if (draft.offers.length === 0) errors.offers = 'Choose at least one way to wash.';
  draft.offers.forEach(({ methodId, priceMinor }) => {
    if (priceMinor === null || priceMinor < 0 || priceMinor > MOST_MINOR)
      errors[`offers.${methodId}`] = 'From 0 to 1,000,000.';
  });
  if (draft.tariff) Object.assign(errors, tariffErrors(draft.tariff));
  if (draft.relHumidityPercent !== null && (draft.relHumidityPercent < 5 || draft.relHumidityPercent > 100))
    errors.relHumidityPercent = 'From 5 to 100 %.';
  [...draft.weekdayQueue, ...draft.weekendQueue].forEach(({ fromHour, toHour }) => {
    if (toHour <= fromHour) errors.queue = 'A stretch of waiting must end after it begins.';
  });
  draft.openHours.forEach((span, weekday) => {
    if (span && !hasLength(span))
      errors[`openHours.${weekday}`] =
        'It closes as it opens. For the whole day give 00:00 to 00:00 of the next day.';
  });
  return {
    ...errors,
    ...waterErrors(draft.washWater, 'washWater'),
    ...(draft.finalRinse ? waterErrors(draft.finalRinse, 'finalRinse') : {}),
  };
}
