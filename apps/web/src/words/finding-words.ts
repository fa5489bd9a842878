import type { Finding } from '@keen/core';
import type { Format } from '../format/format.js';
import {
  actual,
  beyond,
  isInOtherWay,
  limit,
  marginText,
  panelOf,
  type Phrase,
  workedSo,
} from './finding-figures.js';
import { SITE_RULE_NAMES } from './names.js';
import { PRODUCT_PHRASES } from './product-finding-words.js';

const onIce: Phrase = (finding, format) => {
  const panel = panelOf(finding);
  if (isInOtherWay(finding) && finding.unit === 'K') return `${workedSo(finding)}: then nothing freezes`;
  if (finding.unit === 'K') {
    if (finding.level === 'block')
      return `the ${panel} falls to ${actual(finding, format)}; a left film may freeze no colder than ${limit(finding, format)}`;
    if (finding.level === 'condition')
      return `what is left freezes thin on the ${panel} (${actual(finding, format)}): wipe seals, handles and mirrors before you park`;
    return `no ice: the coldest panel, the ${panel}, stays at ${actual(finding, format)}`;
  }
  if (finding.level === 'block')
    return `the ${panel} freezes ${beyond(finding, format)} before your hand is there (ice after ${actual(finding, format)}, ${limit(finding, format)} needed)`;
  if (finding.level === 'condition')
    return `${workedSo(finding)}: the ${panel} freezes after ${actual(finding, format)}, ${limit(finding, format)} needed`;
  return `the ${panel} freezes ${actual(finding, format)} after the water; you need ${limit(finding, format)}`;
};

const onSpots: Phrase = (finding, format) => {
  const panel = panelOf(finding);
  if (finding.remedy === 'demin-rinse')
    return `the last rinse is demineralised: it would leave ${marginText(finding.amount ?? 0, 'mg/m²', format)} (now: ${onSpots({ ...finding, remedy: undefined, level: 'block' }, format)})`;
  if (isInOtherWay(finding) && finding.unit === 'mg/m²') return `${workedSo(finding)}: then no spots show`;
  if (finding.unit === 'mg/m²') {
    return finding.level === 'block'
      ? `water left to dry leaves ${actual(finding, format)} on the ${panel}; ${limit(finding, format)} shows`
      : 'dries clean, no water spots';
  }
  if (finding.level === 'block')
    return `the ${panel} dries ${beyond(finding, format)} before you can wipe it (dry after ${actual(finding, format)}, ${limit(finding, format)} needed)`;
  if (finding.level === 'condition')
    return `${workedSo(finding)}: the ${panel} dries after ${actual(finding, format)}, ${limit(finding, format)} needed`;
  return `the ${panel} dries ${actual(finding, format)} after the water; you need ${limit(finding, format)}`;
};

const PHRASES: Readonly<Record<Finding['ruleId'], Phrase>> = {
  ...PRODUCT_PHRASES,
  'ice-on-car': onIce,
  spots: onSpots,
  'method-offered': ({ level }) =>
    level === 'clear' ? 'offered at this place' : 'not offered at this place',
  'floor-drain': (finding, format) =>
    finding.level === 'clear'
      ? 'the water has somewhere to go'
      : `${actual(finding, format)} on a floor without a drain; ${limit(finding, format)} at most`,
  'tap-frost': (finding, format) => {
    if (finding.level === 'unknown') return 'no weather for these hours';
    if (finding.margin === null)
      return finding.level === 'clear' ? 'the tap is live, or not needed' : 'there is no tap';
    return finding.level === 'block'
      ? `the tap is shut against frost: ${actual(finding, format)} within 12 h`
      : `the tap is live: no colder than ${actual(finding, format)} within 12 h`;
  },
  'open-hours': (finding, format) => {
    if (finding.level === 'unknown') return 'no weather for these hours';
    if (finding.margin === null) return finding.level === 'clear' ? 'open' : 'closed at this hour';
    const queue = finding.amount ? `, with ${format.minutes(finding.amount)} in the queue` : '';
    return finding.level === 'block'
      ? `closes ${beyond(finding, format)} before you are done${queue}`
      : `open for ${beyond(finding, format)} after you are done${queue}`;
  },
  falling: (finding, format) =>
    finding.margin === null
      ? 'under a roof, or not dried by hand'
      : finding.level === 'block'
        ? `${actual(finding, format)} of rain or snow falls on it; ${limit(finding, format)} at most`
        : `dry enough: ${actual(finding, format)}`,
  daylight: (finding, format) => {
    if (finding.margin === null)
      return finding.level === 'clear' ? 'lamps, or no hand work' : 'it is dark and there are no lamps';
    return finding.level === 'block'
      ? `light ends ${beyond(finding, format)} before you are done`
      : `light for ${beyond(finding, format)} after you are done`;
  },
  'cold-hands': (finding, format) => {
    if (finding.margin === null) return 'not cold enough to matter, or no hand work';
    if (finding.level === 'block')
      return `wind chill ${actual(finding, format)}: skin can freeze in 10 to 30 min; wet hands sooner`;
    if (finding.level === 'condition')
      return `you wear lined gloves and take breaks: wind chill ${actual(finding, format)}; wet hands feel it more`;
    return `wind chill ${actual(finding, format)}; wet hands feel it more`;
  },
  'ice-on-ground': (finding, format) => {
    if (finding.margin === null) return 'run-off drains, or is little';
    return finding.level === 'condition'
      ? `you grit or squeegee the run-off: the ground reaches ${actual(finding, format)} within 12 h`
      : `run-off stays liquid: no colder than ${actual(finding, format)} within 12 h`;
  },
  'soil-ceiling': (finding, format) => {
    if (finding.margin === null) return 'it does not go on the body';
    const grade = (finding.actual ?? 0).toFixed(1);
    if (finding.level === 'condition')
      return `you pre-soak it hot and slow: soil grade ${grade}, ${limit(finding, format)} cleans without`;
    return finding.level === 'block'
      ? `the body is too dirty for it: grade ${grade}, fine up to ${(finding.limit ?? 0).toFixed(0)}`
      : `soil grade ${grade}; it cleans up to ${(finding.limit ?? 0).toFixed(0)}`;
  },
  scratch: (finding) => {
    if (finding.margin === null) return 'nothing rubs the paint';
    const grade = (finding.actual ?? 0).toFixed(1);
    const most = (finding.limit ?? 0).toFixed(1);
    if (finding.level === 'block')
      return `grit would mark the paint: grade ${grade} is left when it is rubbed, ${most} at most`;
    return finding.level === 'condition'
      ? `you rinse once more before the mitt: it is still gritty (grade ${grade}; ${most} is safe)`
      : `grade ${grade} is left when something rubs the paint; ${most} is safe`;
  },
  'seals-overnight': (finding, format) => {
    if (finding.level === 'unknown') return 'the coming night is not in the forecast';
    const water = marginText(finding.amount ?? 0, 'mL', format);
    if (finding.margin === null) return `${water} stays in seals and locks: too little to matter`;
    return finding.level === 'condition'
      ? `you blow out and treat seals, locks and mirrors: ${water} stays in them and it falls to ${actual(finding, format)} where it stands tonight`
      : `${water} stays in seals and locks; no colder than ${actual(finding, format)} where it stands tonight`;
  },
  'dry-on': (finding, format) => {
    if (finding.level === 'unknown') return 'no weather for these hours';
    if (isInOtherWay(finding)) return `${workedSo(finding)}: then no product dries on`;
    if (finding.margin === null) return 'products stay wet until they are rinsed off';
    return finding.level === 'block'
      ? `a product dries on the ${panelOf(finding)} after ${actual(finding, format)}; ${limit(finding, format)} pass before it is off`
      : `product stays wet ${actual(finding, format)} on the ${panelOf(finding)}`;
  },
  're-soiling': (finding, format) => {
    if (finding.margin === null) return 'the road after is beyond the forecast';
    if (finding.actual === 0) return 'main roads are wet or snowed as you finish';
    return finding.level === 'block'
      ? `main roads stay dry only ${actual(finding, format)} after; ${limit(finding, format)} wanted by the house`
      : `main roads stay dry ${actual(finding, format)} after`;
  },
  'site-rule': (finding, format) => {
    if (finding.unit === 'min')
      return `you may stay there ${limit(finding, format)}, and it takes ${actual(finding, format)}: dry it somewhere else, or do less`;
    if (!finding.siteRule)
      return finding.level === 'unknown' ? 'no weather for these hours' : 'nothing forbids it';
    if (finding.remedy === 'site-soap')
      return 'you use the soap of the site: your own foam is not allowed here';
    if (finding.remedy === 'shield-neighbour')
      return 'a car is parked beside it: you sheet it over and spray on to the cloth';
    const frost = finding.actual == null ? '' : ` (${format.temp(finding.actual)})`;
    return `forbidden here: ${SITE_RULE_NAMES[finding.siteRule].toLowerCase()}${frost}`;
  },
  'direct-sun': (finding, format) => {
    if (finding.level === 'unknown') return 'no weather for these hours';
    if (finding.margin === null) return 'how fast it dries decides';
    return finding.level === 'block'
      ? `strong sun on the ${panelOf(finding)} (${actual(finding, format)}; the limit here is ${limit(finding, format)})`
      : `no strong sun: ${actual(finding, format)} at most`;
  },
  'forecast-agrees': (finding, format) => {
    if (finding.margin === null) return 'not asked: something else decides';
    return finding.level === 'condition'
      ? `the forecasts come together: it fails in ${actual(finding, format)} of them, ${limit(finding, format)} is tolerable`
      : finding.actual === 0
        ? 'all forecasts agree'
        : `fails in ${actual(finding, format)} of the forecasts`;
  },
};

/** Rules whose own phrase says what another way of the wash does for them. */
const SAYS_THEN: ReadonlySet<Finding['ruleId']> = new Set(['ice-on-car', 'spots', 'dry-on', 'label-time']);

/** The reason in trade words, with its number and unit; fits after "Go:", "Go if", "Wait:" and "No:". */
export function findingText(finding: Finding, format: Format): string {
  if (finding.remedy === 'start-later') {
    const blocked = findingText({ ...finding, remedy: undefined, level: 'block', amount: undefined }, format);
    return `you start ${format.minutes(finding.amount ?? 0)} later (at the hour: ${blocked})`;
  }
  if (finding.isElsewhere)
    return `at the second place: ${findingText({ ...finding, isElsewhere: undefined }, format)}`;
  if (finding.remedy === 'finish-elsewhere' && !SAYS_THEN.has(finding.ruleId))
    return `${workedSo(finding)}: then ${findingText({ ...finding, remedy: undefined, level: 'clear' }, format)}`;
  return finding.level === 'unknown' && (finding.ruleId === 'ice-on-car' || finding.ruleId === 'spots')
    ? 'no weather for these hours'
    : PHRASES[finding.ruleId](finding, format);
}
