import { everyHour, MS_PER_DAY, MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { EMPTY_SHELF, TYPICAL_PRODUCTS } from '../kit/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { inWay, METHOD_IDS, methodOf, wayOf } from '../method/index.js';
import { NO_SALT, type RoadHour } from '../road/index.js';
import { carLife, compileLife, runLedger, surroundings } from '../salt/index.js';
import { CLEAN } from '../soil/index.js';
import { BAY, bottle, circumstances, DRIVE, HEATED_UNIT, methodWith, VEHICLE } from '../testing/shop.js';
import { EVEN_WEEK } from '../vehicle/index.js';
import { placeSites, verdictGrid, type WeatherSpan } from '../verdict/index.js';
import { COLD_LAKE_PORT, simulateWeather } from '../weather/index.js';
import { balance, DEFAULT_PRICES, seasonCadence, washCost } from './index.js';

const FROM = Date.UTC(2026, 0, 14, 5);
const PAST = 24 * 30;
const hours = simulateWeather({
  climate: COLD_LAKE_PORT,
  seed: 3,
  fromMs: FROM - PAST * MS_PER_HOUR,
  hourCount: PAST + 24 * 9,
});
const wet: RoadHour[] = hours.map(({ atMs }) => ({
  atMs,
  state: 'wet',
  surfaceTempC: 0,
  waterMm: 0.2,
  snowMm: 0,
  saltGramsPerM2: { ...NO_SALT, NaCl: 10 },
}));
const life = compileLife(
  carLife(
    {
      driving: { mainRoadKm: 30, townKm: 5, bridgeKm: 0 },
      weekShares: EVEN_WEEK,
      standsAt: null,
      drives: [],
    },
    surroundings(
      { fromMs: hours[0]?.atMs ?? 0, hours },
      { main: wet, town: wet, bridge: wet },
      'America/Toronto',
    ),
  ),
);
const past = life.slice(0, PAST);
const ahead = life.slice(PAST);
const control: WeatherSpan = { fromMs: FROM - 36 * MS_PER_HOUR, hours: hours.slice(PAST - 36) };
const PLACES = [HEATED_UNIT, BAY, DRIVE];

describe('the balance', () => {
  const ledger = runLedger(past, { washes: [] });
  const bands = verdictGrid({
    ...circumstances(control),
    sites: placeSites(PLACES, { control, members: [] }),
    startsMs: everyHour(FROM, 48),
    withMembers: false,
  });
  const atMs = FROM + 10 * MS_PER_HOUR;
  const rows = balance({
    vehicle: VEHICLE,
    places: PLACES,
    bands,
    prices: DEFAULT_PRICES,
    house: DEFAULT_HOUSE,
    limits: DEFAULT_LIMITS,
    shelf: EMPTY_SHELF,
    soil: CLEAN,
    ledger,
    ahead,
    atMs,
  });
  /** Salt on the left doors at that hour, unwashed. */
  const unwashedDoors = (): number => {
    const then = ahead
      .filter((hour) => hour.atMs < atMs)
      .reduce((sum, hour) => {
        sum.step(hour);
        return sum;
      }, ledger.copy());
    return then.zones().find(({ zone }) => zone === 'lower-left')?.loadGramsPerM2 ?? NaN;
  };
  const rowOf = (methodId: string) => rows.find((row) => row.methodId === methodId);

  it('leaves of each zone’s salt what the way does not take off', () => {
    const touched = rows.filter(({ removes }) => removes.lower > 0.3);
    expect(touched.length).toBeGreaterThan(0);
    const never = unwashedDoors();
    for (const { left, removes } of touched) {
      const doors = (of: typeof left): number =>
        of.find(({ zone }) => zone === 'lower-left')?.loadGramsPerM2 ?? NaN;
      expect(doors(left)).toBeCloseTo(never * (1 - removes.lower), 6);
    }
  });

  it('has a row for every way on offer and no other', () => {
    const offered = PLACES.flatMap(({ id, methods }) => methods.map(({ methodId }) => `${id} ${methodId}`));
    expect(rows.map(({ placeId, methodId }) => `${placeId} ${methodId}`).sort()).toEqual(offered.sort());
  });

  it('leaves what the method leaves of what is on the car at that hour', () => {
    const then = ahead.slice(0, 10).reduce((sum, hour) => (sum.step(hour), sum), ledger.copy());
    const under = then.zones().find(({ zone }) => zone === 'underbody')?.loadGramsPerM2 ?? NaN;
    const left = (methodId: string): number =>
      rowOf(methodId)?.left.find(({ zone }) => zone === 'underbody')?.loadGramsPerM2 ?? NaN;
    expect(under).toBeGreaterThan(1);
    expect(left('garage-rinseless')).toBeCloseTo(under, 9);
    expect(left('bay-touch-free')).toBeCloseTo(under * (1 - methodOf('bay-touch-free').removes.under), 9);
  });

  it('does not touch the ledger that it was given', () => {
    const before = ledger.zones();
    balance({
      vehicle: VEHICLE,
      places: PLACES,
      bands,
      prices: DEFAULT_PRICES,
      house: DEFAULT_HOUSE,
      limits: DEFAULT_LIMITS,
      shelf: EMPTY_SHELF,
      soil: CLEAN,
      ledger,
      ahead,
      atMs,
    });
    expect(ledger.zones()).toEqual(before);
  });

  it('saves the more the deeper it goes', () => {
    const saved = (methodId: string): number => rowOf(methodId)?.activeHoursSaved ?? NaN;
    expect(saved('bay-contact')).toBeGreaterThan(saved('garage-rinseless'));
    expect(saved('garage-rinseless')).toBeGreaterThan(0);
  });

  it('counts travel both ways and the verdict of that hour', () => {
    const contact = methodWith('bay-contact');
    expect(rowOf('bay-contact')?.minutes).toMatchObject({
      travel: 20,
      wash: inWay(contact, wayOf(contact, rowOf('bay-contact')?.wayId ?? null)).minutes,
    });
    const band = bands.find(({ methodId, placeId }) => methodId === 'drive-hose' && placeId === 'drive');
    expect(rowOf('drive-hose')?.verdict).toBe(band?.cells[10]?.verdict);
  });
});

describe('what a wash costs', () => {
  it('is a visit, the meter run in the cheapest way, and product', () => {
    // Touch-free: wheels and foam off the meter, then nine paid minutes in a row: 3.00 and six blocks of 1.00.
    const touchFree = washCost(BAY, methodWith('bay-touch-free'));
    // Typical labels: 100 mL of wheel cleaner and of pre-wash, 9.4 mL of drying aid.
    expect(touchFree).toMatchObject({ visitMinor: 0, meterMinor: 900, productMinor: 233, totalMinor: 1133 });
    // By hand: 21 unpaid minutes before the last rinse, so it is stopped and started again.
    const byHand = washCost(BAY, methodOf('bay-contact'));
    expect(byHand.meter?.stopAfter).toEqual([0]);
    expect(byHand.meterMinor).toBe(800 + 300);
    expect(byHand.meterMinor).toBeLessThan(byHand.meter?.runThroughMinor ?? 0);
  });

  it('keeps paid seconds over a pause where the meter can be paused', () => {
    const tariff = { ...(BAY.tariff ?? never()), pausable: true };
    expect(washCost({ ...BAY, tariff }, methodOf('bay-contact')).meterMinor).toBe(900);
  });

  it('is the price of the visit where there is no meter', () => {
    const place = { ...HEATED_UNIT, methods: [{ methodId: 'garage-rinseless', priceMinor: 1400 }] };
    expect(washCost(place, methodOf('garage-rinseless'))).toMatchObject({ totalMinor: 1400, meter: null });
    const products = [bottle({ role: 'rinseless', usualParts: 99, fewestParts: 1, priceMinor: 1000 })];
    // 7 L of bucket, 2 L of pre-soak and 150 mL of aid at 1:15; of the wheels a typical cleaner.
    const rinselessMinor = 70 + 2000 / 16 + 150 / 16;
    expect(washCost(place, methodWith('garage-rinseless', { products })).totalMinor).toBe(
      1400 + Math.round(rinselessMinor + 120),
    );
  });
});

const never = (): never => {
  throw new Error('the bay has a tariff');
};

describe('cadences', () => {
  const input = {
    life: past,
    methods: METHOD_IDS.map((id) => methodWith(id)),
    places: PLACES,
    prices: DEFAULT_PRICES,
  };
  const touchFree = (everyDays: number) => ({ methodId: 'bay-touch-free', everyDays });

  it('wash as often as they say, and save the more for it', () => {
    const weekly = seasonCadence([touchFree(7)], input);
    const monthly = seasonCadence([touchFree(28)], input);
    expect(weekly.washCount).toBe(4);
    expect(monthly.washCount).toBe(1);
    expect(weekly.activeHoursSaved).toBeGreaterThan(monthly.activeHoursSaved);
    expect(monthly.activeHoursSaved).toBeGreaterThan(0);
    expect(weekly.moneyMinor).toBe(4 * 1133);
    expect(weekly.minutes).toBe(4 * (methodOf('bay-touch-free').minutes + 20));
    expect(weekly.bayMinutes).toBe(4 * methodOf('bay-touch-free').minutes);
  });

  it('come to the damage they avoid, less money and time, each told by itself', () => {
    const { activeHoursSaved, moneyMinor, minutes, ...outcome } = seasonCadence([touchFree(7)], input);
    expect(outcome.saltMinor).toBeCloseTo(activeHoursSaved * DEFAULT_PRICES.saltMinorPerActiveHour, 9);
    expect(outcome.timeMinor).toBeCloseTo((minutes * DEFAULT_PRICES.hourMinor) / 60, 9);
    expect(outcome.worthMinor).toBeCloseTo(outcome.saltMinor - moneyMinor - outcome.timeMinor, 9);
    const [first] = past;
    expect(outcome.days).toBeCloseTo(((past.at(-1)?.atMs ?? 0) - (first?.atMs ?? 0)) / MS_PER_DAY, 9);
  });

  it('hold no bay where they are done at home', () => {
    const offered = PLACES.flatMap(({ kind, methods }) =>
      kind === 'self-serve-bay' || kind === 'automatic-bay' ? [] : methods,
    );
    const [home] = offered.filter(({ methodId }) => methodOf(methodId).scope === 'wash');
    const { bayMinutes } = seasonCadence([{ methodId: home?.methodId ?? '', everyDays: 9 }], input);
    expect(bayMinutes).toBe(0);
  });

  it('want a bottle of each role bought first that the shop has none of, and none that it has', () => {
    const { kitMinor } = seasonCadence([touchFree(7)], input);
    const roles = new Set(
      methodWith('bay-touch-free').steps.flatMap(({ product }) => (product ? [product.role] : [])),
    );
    const all = [...roles].reduce((sum, role) => sum + TYPICAL_PRODUCTS[role].litreMinor, 0);
    expect(kitMinor).toBe(all);
    const products = [...roles].map((role) => bottle({ id: role, role }));
    const methods = METHOD_IDS.map((id) => methodWith(id, { products }));
    expect(seasonCadence([touchFree(7)], { ...input, methods }).kitMinor).toBe(0);
  });

  it('save against never washing on the same life', () => {
    const { activeHours, activeHoursSaved } = seasonCadence([touchFree(10)], input);
    expect(activeHours + activeHoursSaved).toBeCloseTo(runLedger(past, { washes: [] }).activeHours, 6);
  });

  it('let the deeper wash stand for both where two fall on one day', () => {
    const mixed = seasonCadence(
      [
        { methodId: 'salt-flush', everyDays: 7 },
        { methodId: 'bay-contact', everyDays: 14 },
      ],
      input,
    );
    expect(mixed.washCount).toBe(4);
    expect(mixed.litres).toBeCloseTo(
      2 * methodWith('salt-flush').litres + 2 * methodWith('bay-contact').litres,
      6,
    );
  });

  it.each([
    { part: { methodId: 'bay-touch-free', everyDays: 0 }, field: 'parts.0.everyDays' },
    { part: { methodId: 'bay-touch-free', everyDays: 181 }, field: 'parts.0.everyDays' },
    { part: { methodId: 'garage-hose', everyDays: 7 }, field: 'parts.0.methodId' },
  ])('name $field', ({ part, field }) => {
    expect(() => seasonCadence([part], input)).toThrow(expect.objectContaining({ field }));
  });
});
