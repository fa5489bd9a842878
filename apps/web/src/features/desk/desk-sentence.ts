import type { Format } from '../../format/format.js';
import { number, numbers, type Worked } from './worked.js';

const figure = (value: unknown, digits = 1): string => {
  const size = number(value);
  return (Number.isInteger(size) ? String(size) : size.toFixed(digits)).replace('-', '−');
};
const list = new Intl.ListFormat('en');

const SKIN: Readonly<Record<string, string>> = {
  none: 'bare skin does not freeze',
  '10-30-min': 'bare skin can freeze in 10 to 30 min',
  '5-10-min': 'bare skin can freeze in 5 to 10 min',
  '2-5-min': 'bare skin can freeze in 2 to 5 min',
  'under-2-min': 'bare skin can freeze within 2 min',
};

type Sentence = (worked: Worked, format: Format) => string;

const toMend: Sentence = ({ input, output }, format) => {
  const wanted = `1:${figure(input['wantedPartsWater'])}`;
  if (output['compared'] === 'stronger')
    return ` Stronger than ${wanted}: add ${format.ml(number(output['addWaterMl']))} of water.`;
  if (output['compared'] === 'weaker')
    return ` Weaker than ${wanted}: add ${format.ml(number(output['addProductMl']))} of product.`;
  return output['compared'] === 'as-wanted' ? ` That is ${wanted}, as it should be.` : '';
};

const ofMeter: Sentence = ({ output }, format) => {
  const [through, best] = [number(output['runThroughMinor']), number(output['cheapestMinor'])];
  if (best >= through) return `Let it run: ${format.money(through)}, and no stop is cheaper.`;
  const stops = numbers(output['stopAfter']).map((step) => String(step + 1));
  return `Stop after ${stops.length > 1 ? 'steps' : 'step'} ${list.format(stops)}: ${format.money(best)}, against ${format.money(through)} if it runs on.`;
};

const ofFilm: Sentence = ({ output }, format) => {
  const [ice, dry] = [output['firstIceMinutes'], output['dryMinutes']];
  if (typeof ice === 'number' && (typeof dry !== 'number' || ice <= dry))
    return `It freezes after ${format.minutes(ice)}, and gets down to ${format.temp(number(output['lowestTempC']))}.`;
  return typeof dry === 'number'
    ? `It dries after ${format.minutes(dry)}, and nothing of it freezes.`
    : 'It neither dries nor freezes as long as it is followed.';
};

const SENTENCES: Readonly<Record<string, Sentence>> = {
  dilution: ({ output }, format) =>
    `Put ${format.ml(number(output['productMl']))} of product in ${format.ml(number(output['waterMl']))} of water: ${figure(output['percent'])} %, 1:${figure(output['partsWater'])}${typeof output['caps'] === 'number' ? `, ${figure(output['caps'])} caps` : ''}.`,
  mixed: (worked, format) =>
    `That is 1:${figure(worked.output['partsWater'])}, ${figure(worked.output['percent'])} %.${toMend(worked, format)}`,
  'bottle-mix': ({ output }, format) =>
    `Put in ${list.format(numbers(output['productMl']).map(format.ml))}, and fill up with ${format.ml(number(output['waterMl']))} of water.`,
  'panel-impact': ({ input, output }, format) =>
    output['possible'] === true
      ? `Put ${format.ml(number(output['productMl']))} of product and ${format.ml(number(output['waterMl']))} of water in the bottle: ${figure(input['panelPercent'])} % reaches the panel.`
      : `That cannot be reached: even undiluted, ${figure(output['highestPanelPercent'])} % reaches the panel.`,
  'mix-water': ({ output }, format) =>
    `${format.litres(number(output['hotLitres']))} of hot and ${format.litres(number(output['coldLitres']))} of cold.`,
  'bucket-cooling': ({ input, output }, format) =>
    `It arrives at ${format.temp(number(output['tempC']))}: ${format.kelvin(number(input['startC']) - number(output['tempC']))} lost on the way.`,
  hardness: ({ output }, format) =>
    `${format.hardness(number(output['mgPerLitreCaCO3']))}: ${String(output['class']).replace('-', ' ')} water.`,
  residue: ({ output }) => `${figure(output['mgPerM2'])} mg of minerals stay on each square metre.`,
  'resin-life': ({ output }, format) =>
    `${format.litres(number(output['litresLeft']))} to go, of ${format.litres(number(output['litresTotal']))} in all.`,
  meter: ofMeter,
  'wind-chill': ({ output }, format) =>
    output['windChillC'] === null
      ? 'It is too warm for the wind to count as cold.'
      : `It feels like ${format.temp(number(output['windChillC']))}; ${SKIN[String(output['frostbiteClass'])] ?? ''}.`,
  'humid-air': ({ output }, format) =>
    `Dew falls at ${format.temp(number(output['dewPointC']))}; a wet panel out of the sun cools to ${format.temp(number(output['wetBulbC']))} by drying alone.`,
  sun: ({ output }) =>
    number(output['elevationDeg']) <= 0
      ? 'The sun is below the horizon.'
      : `The sun stands ${figure(output['elevationDeg'])}° high, at ${figure(output['azimuthDeg'], 0)}° from north by east.`,
  'sun-on-panel': ({ output }) => `${figure(output['panelWm2'], 0)} W fall on each square metre of it.`,
  brine: ({ output }, format) =>
    `It begins to freeze at ${format.temp(number(output['freezingPointC']))}; below ${format.temp(number(output['eutecticC']))} no strength of that salt stays liquid.`,
  deliquescence: ({ output }, format) =>
    `That salt draws water and is wet from ${format.share(number(output['relHumidityFraction']))} humidity on.`,
  swab: ({ output }) => `${figure(output['mgPerM2'], 0)} mg of salt on each square metre there.`,
  film: ofFilm,
};

/** The answer of a sum as one would say it, in the user's units; null where the figures are all there is to say. */
export const deskSentence = (name: string, worked: Worked, format: Format): string | null =>
  SENTENCES[name]?.(worked, format) ?? null;
