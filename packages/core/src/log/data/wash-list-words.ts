import type { MethodId } from '../../method/index.js';

/** What a list of old washes may tell, in the order in which it is asked for. */
export const WASH_COLUMNS = ['car', 'day', 'time', 'place', 'method', 'minutes', 'cost', 'note'] as const;
export type WashColumn = (typeof WASH_COLUMNS)[number];

/** Words that headings are known by, in small letters. */
export const WASH_HEADINGS: Readonly<Record<WashColumn, readonly string[]>> = {
  car: ['car', 'vehicle', 'name', 'car name'],
  day: ['day', 'date', 'washed', 'washed on', 'when', 'start'],
  time: ['time', 'begun', 'from', 'at', 'hour'],
  place: ['place', 'where', 'site', 'location'],
  method: ['method', 'how', 'wash', 'way', 'kind'],
  minutes: ['minutes', 'min', 'duration', 'took'],
  cost: ['cost', 'price', 'paid', 'costs'],
  note: ['note', 'notes', 'remarks', 'comment', 'found'],
};

/** Words for methods beside their own names, in small letters. */
export const METHOD_WORDS: Readonly<Record<string, MethodId>> = {
  automatic: 'touchless-automatic',
  touchless: 'touchless-automatic',
  'touch free': 'bay-touch-free',
  'self serve, touch free': 'bay-touch-free',
  'by hand': 'bay-contact',
  'hand wash': 'bay-contact',
  'two buckets': 'bay-contact',
  'self serve, by hand': 'bay-contact',
  'bay rinse, rinseless finish': 'bay-rinse-rinseless',
  rinseless: 'garage-rinseless',
  'rinseless indoors': 'garage-rinseless',
  hose: 'garage-hose',
  'hose indoors': 'garage-hose',
  'hose on the drive': 'drive-hose',
  drive: 'drive-hose',
  'rinseless outdoors': 'rinseless-outdoors',
  'waterless spray': 'waterless',
  'rinse only': 'salt-flush',
  rinse: 'salt-flush',
  'salt flush, rinse only': 'salt-flush',
  'strip and re seal': 'strip-reseal',
  'wash before a coating': 'pre-coating',
  'winter strip and foamed seal': 'winter-strip',
  'before a coating, air only': 'pre-coating-air',
  'rinseless, two pre soaks': 'rinseless-heavy',
};
