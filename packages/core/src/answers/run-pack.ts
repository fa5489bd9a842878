import { cellRequest, type OfStart } from './cell.js';
import type { RunPackQuestion } from './question.js';
import type { Tools } from './tools.js';

import type { Kit } from '../kit/index.js';
import { driveOf, fittingsOf } from '../method/index.js';
import type { PackHour, RunPack } from '../live/index.js';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { bugsOnTheWayHome, leftOn, runSheet, sunLine } from '../run/index.js';
import { carStateOf } from '../shop/index.js';
import {
  cellDetail,
  type CellRequest,
  equippedMethod,
  type Judged,
  methodAt,
  PlaceCalendar,
  PlaceWeather,
} from '../verdict/index.js';
import { startOfHourMs } from '../weather/index.js';

/** Hours of weather that go with a run, for one that begins late or takes long. */
const PACK_HOURS = 8;

/** A run's pack before it has a name. */
export type PackDraft = Omit<RunPack, 'id' | 'washId' | 'madeMs' | 'source' | 'issuedMs'>;

/** What does it take to do this wash there then? null where nobody knows that hour's weather. */
export const runPackAnswer = (question: RunPackQuestion, tools: Pick<Tools, 'keep'>): PackDraft | null =>
  packOf(question, tools)?.draft ?? null;

type PackOf = OfStart & { readonly kit: Kit };

/** Light and air of each hour that goes with a run; null where nobody knows that hour's weather. */
const packHoursFrom = (
  startMs: number,
  weather: PlaceWeather,
  control: CellRequest['control'],
): (PackHour | null)[] =>
  Array.from({ length: PACK_HOURS }, (_hour, i): PackHour | null => {
    const atMs = startOfHourMs(startMs) + i * MS_PER_HOUR;
    const site = weather.placeHour(atMs);
    const outdoors = control.hours[Math.floor((atMs - control.fromMs) / MS_PER_HOUR)];
    return site && outdoors ? { site, outdoors } : null;
  });

/** The pack of a start, and how the start was judged; null where nobody knows that hour's weather. */
export function packOf(
  question: PackOf,
  { keep }: Pick<Tools, 'keep'>,
): { readonly draft: PackDraft; readonly judged: Judged } | null {
  const request = cellRequest(question, keep);
  const { vehicle, place, control, night, house } = request;
  const { start, limits, kit } = question;
  const { startMs, methodId, wayId, placeC } = start;
  const calendar = new PlaceCalendar(place);
  const weather = new PlaceWeather(calendar, control);
  const hours = packHoursFrom(startMs, weather, control);
  const [first] = hours;
  if (!first) return null;
  // What was accepted is what is done; without it, the way and the bottles that the verdict has.
  const judged = cellDetail(request, startMs);
  const plain = equippedMethod(methodId, { ...request, placeC, fittings: fittingsOf(place) });
  const method = wayId && placeC !== undefined ? methodAt(plain, wayId, place) : judged.method;
  const endMs = startMs + method.minutes * MS_PER_MINUTE;
  const { lightAtStart, lightLeftMinutes } = calendar.light(startMs, endMs);
  const isDark = !lightAtStart || (lightLeftMinutes ?? 0) < 0;
  const { soil: soilByZone, soilByGroup: soil } = carStateOf(question, keep);
  const of = { vehicle, place, method, limits, isDark, overnightC: night.coldestAfterC(endMs) };
  const touched = weather.washHours(startMs, method) ?? ([{ fromMinute: 0, site: first.site }] as const);
  const needsLight = !place.hasLight && lightAtStart && lightLeftMinutes !== null;
  const sheet = runSheet({ ...of, hours: touched, outdoors: first.outdoors, soil, kit, house });
  const draft: PackDraft = {
    ...of,
    startMs,
    fromMs: startOfHourMs(startMs),
    hours,
    washHours: touched,
    sheet,
    sunLine: sunLine({
      place,
      startMs,
      endMs: startMs + (driveOf(method)?.fromMinute ?? method.minutes) * MS_PER_MINUTE,
      lookUntilMs: startOfHourMs(startMs) + PACK_HOURS * MS_PER_HOUR,
      cloudAt: (atMs) =>
        hours[Math.floor((atMs - startOfHourMs(startMs)) / MS_PER_HOUR)]?.outdoors.cloudFraction ?? null,
      edges: sheet.edges,
    }),
    sunsetMs: needsLight ? endMs + lightLeftMinutes * MS_PER_MINUTE : null,
    bugsHomeC: bugsOnTheWayHome({
      place,
      endMs,
      airTempC: hours[Math.floor((endMs - startOfHourMs(startMs)) / MS_PER_HOUR)]?.outdoors.airTempC ?? null,
    }),
    soilBefore: soil,
    leftOn: leftOn(soilByZone, method),
    conditions: judged.judgement.findings.filter(({ level }) => level === 'condition'),
    limiting: judged.judgement.limiting,
  };
  return { draft, judged };
}
