import { MS_PER_HOUR, type ReadHour, type WeatherReading, MS_PER_DAY } from '@keen/core';
import {
  type IAbstractWeatherContainer,
  type ITAF,
  parseMetar,
  parseTAF,
  WeatherChangeType,
} from 'metar-taf-parser';
import { unreadable } from '../imports/import-report.js';
import { fallOf, DRY } from './aviation-fall.js';
import { type Report, windOf, cloudOf, measuredOf } from './aviation-measures.js';

/** An hour told to the day of the month only is the nearest such day; further off than this it could be another month's. */
const NEAREST_DAYS = 14;

export interface AviationText {
  readonly hours: readonly ReadHour[];
  /** What was read and left out, in words. */
  readonly notes: readonly string[];
  readonly kind: 'measured' | 'forecast';
}

const BEGINS = /^\s*(?:METAR|SPECI|TAF|[A-Z][A-Z0-9]{3}\s+\d{6}Z)\b/;

/** Reports may run over several lines; each begins with its kind or its station. */
function reportsOf(text: string): Report[] {
  const reports: { line: number; text: string }[] = [];
  text.split(/\r?\n/).forEach((line, i) => {
    if (line.trim() === '') return;
    const last = reports.at(-1);
    if (BEGINS.test(line) || !last) reports.push({ line: i + 1, text: line.trim() });
    else last.text += ` ${line.trim()}`;
  });
  return reports;
}

/** The instant of a day of the month, an hour and a minute UTC that is nearest to now. */
function nearestInstant(
  { day, hour, minute = 0 }: { day: number; hour: number; minute?: number },
  nowMs: number,
) {
  const now = new Date(nowMs);
  const candidates = [-1, 0, 1].map((months) =>
    Date.UTC(now.getUTCFullYear(), now.getUTCMonth() + months, day, hour, minute),
  );
  return candidates.reduce((best, at) => (Math.abs(at - nowMs) < Math.abs(best - nowMs) ? at : best));
}

function readMetar({ text, line }: Report, nowMs: number): ReadHour {
  const report = parseMetar(text.replace(/=\s*$/, ''));
  if (report.day === undefined || report.hour === undefined)
    throw unreadable('This report has no time of observation, such as 141100Z.', line);
  const seenMs = nearestInstant({ day: report.day, hour: report.hour, minute: report.minute }, nowMs);
  const told = measuredOf(report);
  if (told.airTempC === undefined && told.windMetresPerSecond === undefined)
    throw unreadable('This report tells neither air nor wind; is it cut short?', line);
  // The nearest full hour; a report of the last minutes before one that has not come counts for the hour that it was seen in.
  const nearestMs = Math.round(seenMs / MS_PER_HOUR) * MS_PER_HOUR;
  const atMs = nearestMs > nowMs ? nearestMs - MS_PER_HOUR : nearestMs;
  return { line, member: 0, reading: { atMs, ...told } };
}

const PHENOMENA = 'DZ|RA|SN|SG|IC|PL|GR|GS|UP|BR|FG|FU|VA|DU|SA|HZ|PY|PO|SQ|FC|SS|DS';

/** Words that may end a group of a forecast whole. */
const WHOLE_WORDS = [
  '(?:\\d{3}|VRB)\\d{2,3}(?:G\\d{2,3})?(?:KT|MPS|KMH)',
  'P?\\d+(?:/\\d+)?SM',
  '(?:0\\d[05]0|[1-9]\\d00|9999)(?:NDV)?',
  'CAVOK|NSW|NSC|SKC|CLR|NCD|VCSH|VCTS|[-+]?TS',
  '(?:FEW|SCT|BKN|OVC)\\d{3}(?:CB|TCU)?|VV\\d{3}',
  `[-+]?(?:VC)?(?:MI|PR|BC|DR|BL|SH|TS|FZ)?(?:${PHENOMENA})+`,
  'T[XN]M?\\d{2}/\\d{4}Z|QNH\\d{4}INS|WS\\d{3}/\\d{5}KT|[56]\\d{5}',
];

const WHOLE_WORD = new RegExp(`^(?:${WHOLE_WORDS.join('|')})$`);

/** @throws 400 naming the line where the text breaks off */
function requireWhole({ text, line }: Report): string {
  const [body = ''] = text.replace(/=.*$/s, '').split(/\bRMK\b/);
  const words = body.trim().split(/\s+/);
  if (!/\b\d{4}\/\d{4}\b/.test(body))
    throw unreadable(
      'The forecast does not say until when it holds, such as 1412/1512; is it cut short?',
      line,
    );
  words.forEach((word, i) => {
    const next = words[i + 1] ?? '';
    const wantsSpan = /^(?:BECMG|TEMPO|INTER)$/.test(word) || (/^PROB\d\d$/.test(word) && next !== 'TEMPO');
    if (wantsSpan && !/^\d{4}\/\d{4}$/.test(next))
      throw unreadable(`After ${word} the hours are missing, such as 1418/1420; is it cut short?`, line);
    if (/^FM\d/.test(word) && !/^FM\d{6}$/.test(word))
      throw unreadable(`${word} is no time such as FM141600; is it cut short?`, line);
  });
  const last = words.at(-1) ?? '';
  // Where visibility is given in miles, four digits are not metres but the beginning of a wind.
  const isMetres = /^\d{4}$/.test(last) && words.some((word) => word.endsWith('SM'));
  if (isMetres || !WHOLE_WORD.test(last))
    throw unreadable(`The forecast breaks off at ${last}; nothing of it was taken.`, line);
  return words.join(' ');
}

const conditionsOf = (group: IAbstractWeatherContainer, raw: string): Partial<WeatherReading> => ({
  ...windOf(group.wind),
  ...cloudOf(group.clouds, raw, group.verticalVisibility),
  ...(fallOf(group.weatherConditions) ?? (/\b(?:NSW|CAVOK)\b/.test(raw) ? DRY : {})),
});

function readTaf(report: Report, nowMs: number): { hours: ReadHour[]; notes: string[] } {
  const taf: ITAF = parseTAF(requireWhole(report));
  const at = (day: number, hour: number, minute = 0): number => nearestInstant({ day, hour, minute }, nowMs);
  const fromMs = at(taf.validity.startDay, taf.validity.startHour);
  const toMs = at(taf.validity.endDay, taf.validity.endHour);
  if (!(toMs > fromMs) || toMs - fromMs > 2 * MS_PER_DAY)
    throw unreadable('The forecast ends before it begins, or lasts more than two days.', report.line);
  const notes: string[] = [];
  // What the base does not name as falling does not fall.
  let base: Partial<WeatherReading> = { ...DRY, ...conditionsOf(taf, taf.initialRaw) };
  const changes = taf.trends.flatMap((trend) => {
    const told = conditionsOf(trend, trend.raw);
    if (trend.type === WeatherChangeType.FM) {
      const { startDay, startHour, startMinutes } = trend.validity;
      return [{ fromMs: at(startDay, startHour, startMinutes), told: { ...DRY, ...told }, isWhole: true }];
    }
    if (trend.type === WeatherChangeType.BECMG)
      return [{ fromMs: at(trend.validity.endDay, trend.validity.endHour), told, isWhole: false }];
    notes.push(`Not taken, since it is not the likely course: ${trend.raw}`);
    return [];
  });
  const hours = Array.from({ length: Math.round((toMs - fromMs) / MS_PER_HOUR) }, (_, i): ReadHour => {
    const atMs = fromMs + i * MS_PER_HOUR;
    for (const change of changes.filter((one) => one.fromMs > atMs - MS_PER_HOUR && one.fromMs <= atMs))
      base = change.isWhole ? change.told : { ...base, ...change.told };
    return { line: report.line, member: 0, reading: { atMs, ...base } };
  });
  return { hours, notes };
}

/**
 * Hours of weather in aviation weather text: observations (METAR, SPECI) or one forecast (TAF).
 *
 * @param nowMs the text tells days of the month only; the nearest such day is meant
 * @returns hours with what the text tells; a forecast tells no air temperature, which other sources then give
 * @throws 400 `unreadable-file` naming the line: no report, cut short, both kinds at once, or more than a fortnight off
 */
export function readAviation(text: string, nowMs: number): AviationText {
  const reports = reportsOf(text);
  const [first] = reports;
  if (!first) throw unreadable('The text is empty.');
  const isTaf = ({ text: words }: Report): boolean => /^TAF\b/.test(words);
  const kind = isTaf(first) ? 'forecast' : 'measured';
  const other = reports.find((report) => isTaf(report) !== (kind === 'forecast'));
  if (other)
    throw unreadable('Observations and forecasts are read one after the other, not together.', other.line);
  if (kind === 'forecast' && reports[1]) throw unreadable('One forecast at a time.', reports[1].line);
  const read = reports.map((report) => {
    try {
      return kind === 'forecast' ? readTaf(report, nowMs) : { hours: [readMetar(report, nowMs)], notes: [] };
    } catch (error) {
      if (!(error instanceof Error) || error.name === 'BadRequestException') throw error;
      throw unreadable(`This is no aviation weather report: ${error.message}.`, report.line);
    }
  });
  const hours = read.flatMap((one) => one.hours);
  const far = hours.find(({ reading }) => Math.abs(reading.atMs - nowMs) > NEAREST_DAYS * MS_PER_DAY);
  if (far) throw unreadable('The report is more than two weeks off; its month is not known.', far.line);
  // A special report or a second one within the hour: the later one counts.
  const newest = new Map(hours.map((hour) => [hour.reading.atMs, hour]));
  return {
    hours: [...newest.values()].sort((a, b) => a.reading.atMs - b.reading.atMs),
    notes: read.flatMap(({ notes }) => notes),
    kind,
  };
}
