import { MS_PER_HOUR } from '../quantity/index.js';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { EMPTY_KIT, EMPTY_SHELF } from '../kit/index.js';
import type { RunAction, RunDeed, RunPack } from '../live/index.js';
import { inUsualWay } from '../method/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { runSheet } from '../run/index.js';
import { CLEAN } from '../soil/index.js';
import { equippedMethod, PlaceCalendar, PlaceWeather } from '../verdict/index.js';
import type { WeatherHour } from '../weather/index.js';
import { BAY, VEHICLE } from './shop.js';

export const START = Date.UTC(2026, 0, 14, 14);
export const SECOND = 1000;
export const MINUTE = 60_000;
export const TARIFF = {
  startPriceMinor: 300,
  startSeconds: 240,
  blockPriceMinor: 50,
  blockSeconds: 30,
  pausable: false,
} as const;

/** All that a phone takes along for a wash in the bay, in an hour of steady frost-free air. */
export function packFor(methodId = 'bay-contact', air: Partial<WeatherHour> = {}): RunPack {
  const hour: WeatherHour = {
    atMs: START,
    airTempC: 1,
    dewPointC: -4,
    windMetresPerSecond: 3,
    gustMetresPerSecond: 6,
    windFromDeg: 290,
    cloudFraction: 0.8,
    precipMm: 0,
    precipKind: 'none',
    snowDepthCm: 20,
    pressureHpa: 1010,
    ...air,
  };
  const place = { ...BAY, tariff: TARIFF };
  const fromMs = START - 36 * MS_PER_HOUR;
  const hours = Array.from({ length: 48 }, (_, i) => ({ ...hour, atMs: fromMs + i * MS_PER_HOUR }));
  const site = new PlaceWeather(new PlaceCalendar(place), { fromMs, hours }).placeHour(START);
  if (!site) throw new Error('an hour without weather');
  const method = inUsualWay(
    equippedMethod(methodId, {
      vehicle: VEHICLE,
      house: DEFAULT_HOUSE,
      limits: DEFAULT_LIMITS,
      shelf: EMPTY_SHELF,
    }),
  );
  const of = {
    vehicle: VEHICLE,
    place,
    method,
    limits: DEFAULT_LIMITS,
    isDark: false,
    overnightC: -8,
    kit: EMPTY_KIT,
    house: DEFAULT_HOUSE,
    soil: { ...CLEAN },
  };
  return {
    ...of,
    id: 'pack',
    washId: 'w',
    madeMs: START,
    startMs: START,
    sheet: runSheet({ ...of, hours: [{ fromMinute: 0, site }], outdoors: hour }),
    fromMs: START,
    hours: [{ site, outdoors: hour }, null],
    sunsetMs: START + 90 * MINUTE,
    soilBefore: { ...CLEAN },
    source: 'test',
    issuedMs: START,
  };
}

/** A phone that writes down what is done. */
export class Phone {
  readonly log: RunAction[] = [];
  constructor(readonly deviceId = 'a') {}
  at(seconds: number, ...deeds: RunDeed[]): this {
    const tap = `${this.deviceId}${this.log.length}`;
    for (const deed of deeds)
      this.log.push({
        id: `${this.deviceId}${this.log.length}`,
        tap,
        deviceId: this.deviceId,
        count: this.log.length,
        atMs: START + seconds * SECOND,
        deed,
      });
    return this;
  }
}
