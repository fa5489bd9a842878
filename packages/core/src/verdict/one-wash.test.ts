import { describe, expect, it } from '@jest/globals';
import { inUsualWay, inWay, waysOf } from '../method/index.js';
import { mixesFor } from '../kit/index.js';
import type { Place } from '../place/index.js';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { coldStreak as steady, STREAK_START as START } from '../testing/cold-streak.js';
import { BAY, bottle, circumstances, DRIVE, methodWith, VEHICLE, WATER } from '../testing/shop.js';
import { type Vehicle } from '../vehicle/index.js';
import {
  type PanelDeed,
  PanelWash,
  panelAir,
  tracksOf,
  waitsThrough,
  type WashHours,
} from '../wash/index.js';
import { airsOf } from '../wash/index.js';
import { cellDetail, type Judged, PlaceCalendar, PlaceWeather, type WeatherSpan } from './index.js';

const GARAGE: Place = {
  ...DRIVE,
  id: 'own-garage',
  kind: 'garage',
  climate: { kind: 'unheated' },
  shelter: { kind: 'indoors' },
  hasDrain: true,
  hasLight: true,
  tap: 'always',
  methods: ['garage-rinseless', 'garage-hose', 'waterless'].map((methodId) => ({ methodId, priceMinor: 0 })),
};
const OPEN_DRIVE: Place = {
  ...DRIVE,
  hasLight: true,
  hasDrain: true,
  tap: 'always',
  methods: ['drive-hose', 'salt-flush', 'waterless'].map((methodId) => ({ methodId, priceMinor: 200 })),
};
const SITES: readonly Place[] = [
  {
    ...BAY,
    methods: ['bay-touch-free', 'bay-contact', 'bay-rinse-rinseless'].map((methodId) => ({
      methodId,
      priceMinor: 100,
    })),
  },
  GARAGE,
  OPEN_DRIVE,
];

const detail = (
  place: Place,
  methodId: string,
  { span, vehicle = VEHICLE, atMs = START }: { span: WeatherSpan; vehicle?: Vehicle; atMs?: number },
): Judged =>
  cellDetail({ ...circumstances(span, { vehicle }), place, methodId, control: span, roadAhead: null }, atMs);

const hoursOf = (place: Place, span: WeatherSpan, { method }: Judged, atMs: number): WashHours => {
  const hours = new PlaceWeather(new PlaceCalendar(place), span).washHours(atMs, method);
  if (!hours) throw new Error('no weather');
  return hours;
};

describe('what colder, slower and smaller do', () => {
  it.each(['bay-touch-free', 'bay-contact'] as const)(
    '%s: colder never makes a wash that freezes safe',
    (id) => {
      const standings = [4, 1, -1, -3, -6, -9, -13, -18, -24, -32, -40].map(
        (airTempC) =>
          detail(SITES[0] ?? BAY, id, { span: steady({ airTempC, dewPointC: airTempC - 3 }) }).judgement
            .standing,
      );
      const firstNo = standings.indexOf('no');
      expect(firstNo).toBeGreaterThan(0);
      expect(standings.slice(firstNo).every((standing) => standing === 'no')).toBe(true);
    },
  );

  it('a smaller part never waits longer for its towel', () => {
    const method = methodWith('bay-touch-free');
    const waits = waysOf(method)
      .filter(({ from, before, isElsewhere }) => from === 'drying' && before === null && !isElsewhere)
      .map((way) =>
        Math.max(
          ...tracksOf({ vehicle: VEHICLE, place: BAY, method: inWay(method, way) }, DEFAULT_LIMITS).flatMap(
            ({ waits: all }) => all.filter(({ isLast }) => isLast).map(({ toTouch }) => toTouch ?? 0),
          ),
        ),
      );
    expect(waits).toHaveLength(3);
    expect(waits).toEqual(waits.toSorted((a, b) => b - a));
  });
});

describe('the faults of several washes', () => {
  it('a hand wash of eighteen minutes in one piece does not go in frost; part by part it does, and the steps are so', () => {
    const { judgement, method, wayId } = detail(SITES[0] ?? BAY, 'bay-contact', { span: steady({}) });
    expect(judgement.standing).toBe('go-if');
    expect(wayId).not.toBe('whole');
    const byHand = method.steps.filter(({ id }) => id === 'contact');
    expect(byHand.length).toBeGreaterThan(1);
    expect(Math.max(...byHand.map(({ minutes }) => minutes))).toBeLessThan(7);
    // Wet, worked, rinsed and dry before the next part begins.
    const parts = method.steps.flatMap(({ part, id }) => (part ? [`${part} ${id}`] : []));
    const first = byHand[0]?.part ?? '';
    const end = parts.findLastIndex((step) => step.startsWith(first));
    expect(parts.slice(0, end + 1).every((step) => step.startsWith(first))).toBe(true);
    expect(parts[end]).toBe(`${first} towel`);
  });

  it('ice between the first rinse and the hand is seen, though the last rinse would melt it', () => {
    const method = methodWith('bay-contact');
    const span = steady({ airTempC: -8, dewPointC: -11 });
    const hours = new PlaceWeather(new PlaceCalendar(BAY), span).washHours(START, method);
    if (!hours) throw new Error('no weather');
    const roof = tracksOf({ vehicle: VEHICLE, place: BAY, method }, DEFAULT_LIMITS).find(
      ({ panel }) => panel.id === 'roof',
    );
    if (!roof) throw new Error('no roof');
    const rinsed = waitsThrough(roof, { place: BAY, hours }).find(
      ({ wait }) => method.steps[roof.events[wait.event]?.step ?? 0]?.id === 'rinse',
    );
    expect(rinsed?.iceMinutes).toBeLessThan(rinsed?.wait.toTouch ?? 0);
  });

  it('drying takes as long in the verdict as on the sheet', () => {
    const method = methodWith('garage-hose');
    const tracks = tracksOf({ vehicle: VEHICLE, place: GARAGE, method }, DEFAULT_LIMITS);
    const last = Math.max(
      ...tracks.flatMap(({ waits }) =>
        waits.filter(({ isLast }) => isLast).map(({ toTouch }) => toTouch ?? 0),
      ),
    );
    const dries = method.steps.filter(({ id }) => id === 'blow' || id === 'towel');
    // The last panel is rinsed as the rinse ends, and toweled as the towel ends.
    expect(last).toBeCloseTo(
      dries.reduce((sum, { minutes }) => sum + minutes, 0),
      6,
    );
  });

  it('a black roof in the sun begins baked, and foam on it dries under the hand wash', () => {
    const vehicle: Vehicle = { ...VEHICLE, paintTone: 'black' };
    const sunny = steady({ airTempC: 27, dewPointC: 10, cloudFraction: 0 });
    const atMs = Date.UTC(2026, 5, 20, 17);
    const summer = {
      ...sunny,
      fromMs: atMs - 48 * MS_PER_HOUR,
      hours: sunny.hours.map(
        (hour, i) => hour && { ...hour, atMs: atMs - 48 * MS_PER_HOUR + i * MS_PER_HOUR },
      ),
    };
    const found = detail(OPEN_DRIVE, 'drive-hose', { span: summer, vehicle, atMs });
    const roof = tracksOf({ vehicle, place: OPEN_DRIVE, method: found.method }, DEFAULT_LIMITS).find(
      ({ panel }) => panel.id === 'roof',
    );
    const site = hoursOf(OPEN_DRIVE, summer, found, atMs)[0].site;
    expect(roof && panelAir(OPEN_DRIVE, roof.surface, site).dryC).toBeGreaterThan(50);
    const plain = inUsualWay(found.method);
    const whole = tracksOf({ vehicle, place: OPEN_DRIVE, method: plain }, DEFAULT_LIMITS);
    const hours = hoursOf(OPEN_DRIVE, summer, { ...found, method: plain }, atMs);
    const foamed = whole.flatMap((track) =>
      waitsThrough(track, { place: OPEN_DRIVE, hours }).filter(
        ({ wait }) => plain.steps[track.events[wait.event]?.step ?? 0]?.id === 'foam',
      ),
    );
    expect(foamed.some(({ dryMinutes, wait }) => dryMinutes !== null && dryMinutes < (wait.toOff ?? 0))).toBe(
      true,
    );
    expect(found.judgement.standing).not.toBe('go');
  });

  it('a warm flood melts what foam left frozen, and the wash goes on', () => {
    const panel = new PanelWash(
      'steel',
      airsOf(
        BAY,
        { surface: { tiltDeg: 90, facesDeg: 0, absorptanceFraction: 0.5 } },
        hoursOf(
          BAY,
          steady({ airTempC: -9, dewPointC: -12 }),
          { method: methodWith('bay-touch-free') } as Judged,
          START,
        ),
      ),
      { startC: -9 },
    );
    const wet = (kg: number, passesKg: number, waterTempC: number): PanelDeed => ({
      kind: 'wet',
      filmKg: kg,
      passesKg,
      waterTempC,
    });
    panel.do(wet(0.06, 0.06, WATER.tempC));
    panel.advance(4);
    expect(panel.iceKg).toBeCloseTo(panel.waterKg, 9);
    panel.do(wet(0.06, 2.6, 34));
    expect(panel.iceKg).toBe(0);
    expect(panel.tempC).toBeGreaterThan(20);
  });

  it('a mix is one batch, however many parts it goes on', () => {
    const products = [bottle({ usualParts: 500, priceMinor: 900 })];
    const method = methodWith('bay-contact', { products });
    const mlOf = (steps: typeof method.steps): number =>
      mixesFor(steps, { vehicle: VEHICLE, kit: { products }, placeC: 5 })
        .filter(({ step }) => step === 'contact')
        .reduce((sum, { productMl }) => sum + productMl, 0);
    for (const way of waysOf(method).filter(({ only }) => only === null))
      expect(mlOf(inWay(method, way).steps)).toBeCloseTo(mlOf(method.steps), 1);
  });

  it('a start twenty minutes into the hour is worked through in the weather of both hours', () => {
    const method = methodWith('bay-contact');
    const hours = new PlaceWeather(new PlaceCalendar(BAY), steady({})).washHours(
      START + 20 * MS_PER_MINUTE,
      method,
    );
    expect(hours?.map(({ fromMinute }) => fromMinute)).toEqual([0, 40]);
  });
});
