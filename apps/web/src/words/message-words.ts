import { freezeCare, type MessageKind, type UnsentMessage } from '@keen/core';
import type { Format } from '../format/format.js';
import { findingText } from './finding-words.js';
import { FREEZE_CARE_NAMES } from './car-names.js';
import { nameOf } from './names.js';

/** What may stand in a template, in braces. */
export const PLACEHOLDERS = [
  'customer',
  'vehicle',
  'day',
  'time',
  'place',
  'before',
  'reason',
  'cold',
  'care',
] as const;
type Placeholder = (typeof PLACEHOLDERS)[number];

/** As shipped; a shop may put its own words in their place. */
export const SHIPPED_TEMPLATES: Readonly<Record<MessageKind, string>> = {
  booked:
    'Hello {customer},\nthe {vehicle} will be washed on {day}, about {time}, at {place}.\nIf the weather closes that hour, I will tell you.',
  moved:
    'Hello {customer},\nthe wash of the {vehicle} moves from {before} to {day}, about {time}, at {place}.\nThe reason: {reason}',
  'called-off':
    'Hello {customer},\nthe wash of the {vehicle} on {before} is cancelled.\nThe reason: {reason}\nI will suggest another day.',
  'freeze-care':
    'Hello {customer},\nthe {vehicle} was washed today, and tonight goes down to {cold} where it stands. Please see to this, so that nothing freezes fast:\n{care}',
};

interface Around {
  readonly customers: readonly { readonly id: string; readonly name: string }[];
  readonly vehicles: readonly { readonly id: string; readonly name: string }[];
  readonly places: readonly { readonly id: string; readonly name: string }[];
  readonly format: Format;
}

/** Why a wash was moved or called off, from the finding against its old start. */
function reasonText({ against }: Pick<UnsentMessage, 'against'>, format: Format): string {
  if (!against) return 'the plan of the week had to change.';
  const text = findingText(against.limiting, format);
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

/** A name as it stands within a sentence: "Grey SUV" becomes "grey SUV". */
const withinSentence = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

const careText = (overnightC: number | null): string =>
  freezeCare(overnightC)
    .map(({ id }) => `- ${FREEZE_CARE_NAMES[id]}`)
    .join('\n');

/** The placeholders of a template that are not known, in order. */
export const unknownPlaceholders = (template: string): string[] =>
  [...template.matchAll(/\{([^{}]*)\}/g)]
    .map((match) => match[1] ?? '')
    .filter((name) => !(PLACEHOLDERS as readonly string[]).includes(name));

/**
 * A message to a customer, from a template and what they do not know yet. Placeholders that are not known stay as they are written.
 */
export function messageText(template: string, unsent: UnsentMessage, around: Around): string {
  const { format, customers, vehicles, places } = around;
  const { wash, lastSaid, overnightC } = unsent;
  const values: Readonly<Record<Placeholder, string>> = {
    customer: nameOf(customers, unsent.customerId),
    vehicle: withinSentence(nameOf(vehicles, unsent.vehicleId)),
    day: format.day(wash.startMs),
    time: format.time(wash.startMs),
    place: nameOf(places, wash.placeId),
    before: format.dayTime(lastSaid?.startMs ?? wash.startMs),
    reason: reasonText(unsent, format),
    cold: overnightC === null ? 'frost' : format.temp(overnightC),
    care: careText(overnightC),
  };
  return template.replace(/\{([^{}]*)\}/g, (whole, name: string) => values[name as Placeholder] ?? whole);
}
