import type { Finding, MarginUnit } from '@keen/core';
import type { Format } from '../format/format.js';
import { PANEL_NAMES, SECTION_NAMES } from './names.js';

const panelOf = ({ panel }: Finding): string => (panel ? PANEL_NAMES[panel] : 'car');
const sectionOf = ({ section }: Finding): string =>
  section ? (SECTION_NAMES[section] ?? section) : 'a smaller section';

/** A margin in the limit's own unit. */
export function marginText(value: number, unit: MarginUnit, format: Format): string {
  switch (unit) {
    case 'min':
      return format.minutes(value);
    case 'K':
      return format.kelvin(value);
    case 'share':
      return format.share(value);
    case 'pH':
      return `${value.toFixed(1).replace('-', '−')} pH`;
    case 'L':
      return `${value.toFixed(0).replace('-', '−')} L`;
    case 'mm/h':
      return `${value.toFixed(1).replace('-', '−')} mm/h`;
    case 'mg/m²':
      return `${value.toFixed(1).replace('-', '−')} mg/m²`;
    case 'none':
      return '';
  }
}

/** What was found, in the limit's unit: a temperature where the margin is a difference of them. */
export function valueText(value: number, unit: MarginUnit, format: Format): string {
  return unit === 'K' ? format.temp(value) : marginText(value, unit, format);
}

type Phrase = (finding: Finding, format: Format) => string;

const actual = ({ actual: value, unit }: Finding, format: Format): string =>
  value == null ? 'not known' : valueText(value, unit, format);
const limit = ({ limit: value, unit }: Finding, format: Format): string =>
  value === undefined ? '' : valueText(value, unit, format);
const beyond = ({ margin, unit }: Finding, format: Format): string =>
  marginText(Math.abs(margin ?? 0), unit, format);

const onIce: Phrase = (finding, format) => {
  const panel = panelOf(finding);
  if (finding.unit === 'K') {
    if (finding.level === 'block')
      return `the ${panel} falls to ${actual(finding, format)}; a left film may freeze no colder than ${limit(finding, format)}`;
    if (finding.level === 'condition')
      return `what is left freezes thin on the ${panel} (${actual(finding, format)}): wipe seals, handles and mirrors before you park`;
    return `no ice: the coldest panel, the ${panel}, stays at ${actual(finding, format)}`;
  }
  if (finding.level === 'block')
    return `film freezes ${beyond(finding, format)} before you can dry it (${panel}: ice after ${actual(finding, format)}, ${limit(finding, format)} needed)`;
  if (finding.level === 'condition')
    return `you work ${sectionOf(finding)} at a time: the ${panel} freezes after ${actual(finding, format)}, ${limit(finding, format)} needed`;
  return `${beyond(finding, format)} in hand before the ${panel} freezes (ice after ${actual(finding, format)})`;
};

const onSpots: Phrase = (finding, format) => {
  const panel = panelOf(finding);
  if (finding.unit === 'mg/m²') {
    return finding.level === 'block'
      ? `water left to dry leaves ${actual(finding, format)} on the ${panel}; ${limit(finding, format)} shows`
      : `residue ${actual(finding, format)}, ${beyond(finding, format)} under what shows`;
  }
  if (finding.level === 'block')
    return `the ${panel} dries ${beyond(finding, format)} before you can wipe it (dry after ${actual(finding, format)}, ${limit(finding, format)} needed)`;
  if (finding.level === 'condition')
    return `you work ${sectionOf(finding)} at a time: the ${panel} dries after ${actual(finding, format)}, ${limit(finding, format)} needed`;
  return `${beyond(finding, format)} in hand before the ${panel} dries`;
};

const PHRASES: Readonly<Record<Finding['ruleId'], Phrase>> = {
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
    return finding.level === 'block'
      ? `closes ${beyond(finding, format)} before you are done`
      : `open for ${beyond(finding, format)} after you are done`;
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
  wear: (finding, format) => {
    if (finding.margin === null) return 'nothing to wear';
    return finding.level === 'condition'
      ? `you top up the protection after: the soap (${actual(finding, format)}) is ${beyond(finding, format)} too strong for it`
      : `soap ${actual(finding, format)}, ${beyond(finding, format)} milder than wears it`;
  },
  'forecast-agrees': (finding, format) => {
    if (finding.margin === null) return 'members not asked: something else decides';
    return finding.level === 'condition'
      ? `the forecast firms up: it fails in ${actual(finding, format)} of members, ${limit(finding, format)} is tolerable`
      : `fails in ${actual(finding, format)} of members`;
  },
};

/** The reason in trade words, with its number and unit; fits after "Go:", "Go if", "Wait:" and "No:". */
export const findingText = (finding: Finding, format: Format): string =>
  finding.level === 'unknown' && (finding.ruleId === 'ice-on-car' || finding.ruleId === 'spots')
    ? 'no weather for these hours'
    : PHRASES[finding.ruleId](finding, format);
