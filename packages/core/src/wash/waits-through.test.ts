import { describe, expect, it } from '@jest/globals';
import { inUsualWay } from '../method/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { BAY, methodWith, VEHICLE } from '../testing/shop.js';
import {
  panelAir,
  panelSunWm2,
  type PlaceHour,
  type Track,
  tracksOf,
  waitsThrough,
  washPanels,
} from './index.js';

/** Air and light at a place in one hour: overcast, and a car that nothing shines on. */
const hour = (airTempC: number, change: Partial<PlaceHour> = {}): PlaceHour => ({
  air: { airTempC, relHumidityFraction: 0.7, airSpeedMetresPerSecond: 0.8, skyTempC: airTempC },
  sun: { elevationDeg: 20, azimuthDeg: 180 },
  light: { globalWm2: 0, beamNormalWm2: 0, diffuseWm2: 0 },
  albedoFraction: 0.2,
  overheadTempC: airTempC,
  ...change,
});
const method = inUsualWay(methodWith('bay-touch-free'));
const roof = (): Track => {
  const found = tracksOf({ vehicle: VEHICLE, place: BAY, method }, DEFAULT_LIMITS).find(
    ({ panel }) => panel.id === 'roof',
  );
  if (!found) throw new Error('no roof');
  return found;
};
const through = (...hours: readonly [number, PlaceHour][]) => {
  const [first, ...others] = hours.map(([fromMinute, site]) => ({ fromMinute, site }));
  if (!first) throw new Error('no hour');
  return waitsThrough(roof(), { place: BAY, hours: [first, ...others] });
};

describe('one panel through the wash', () => {
  it('freezes sooner the colder it is, and not at all in the warm', () => {
    const last = (airTempC: number) => through([0, hour(airTempC)]).find(({ wait }) => wait.isLast);
    const [mild, cold] = [last(-4)?.iceMinutes ?? NaN, last(-12)?.iceMinutes ?? NaN];
    expect(cold).toBeLessThan(mild);
    expect(cold).toBeGreaterThanOrEqual(0);
    expect(last(12)?.iceMinutes).toBeNull();
    expect(last(12)?.lowestC).toBeGreaterThan(0);
    expect(last(-12)?.startC).toBeGreaterThan(0);
  });

  it('is given for every wetting, from its own minute', () => {
    const found = through([0, hour(-8)]);
    expect(found.map(({ wait }) => wait.event)).toEqual([0, 1, 2]);
    // Foam at −8 °C freezes on the cold panel at once; water that more water comes to is not followed.
    expect(found[0]?.iceMinutes).toBe(0);
    expect(found[2]?.filmGramsPerM2).toBeGreaterThan(0);
  });

  it('counts no ice that is gone again when the hand comes', () => {
    const one = roof();
    const rinsed = one.events[2]?.atMinute ?? NaN;
    const wiped = one.events[4]?.atMinute ?? NaN;
    const frost = hour(-12);
    const stove = hour(60, { overheadTempC: 60 });
    const frozen = through([0, frost]).find(({ wait }) => wait.isLast);
    expect(frozen?.iceMinutes).not.toBeNull();
    const towel = frozen?.wait.toTouch ?? NaN;
    expect(frozen?.iceMinutes ?? NaN).toBeLessThan(towel);
    const thawed = through([0, frost], [rinsed + (frozen?.iceMinutes ?? 0) + 0.3, stove]).find(
      ({ wait }) => wait.isLast,
    );
    expect(wiped).toBeGreaterThan(rinsed);
    expect(thawed?.iceMinutes).toBeNull();
  });

  it('starts from the panel as it was found', () => {
    const hours = [{ fromMinute: 0, site: hour(-3) }] as const;
    const found = (panelK: number) =>
      waitsThrough(roof(), { place: BAY, hours }, { panelK })[0]?.startC ?? NaN;
    expect(found(5)).toBeGreaterThan(found(0));
  });
});

describe('the air at a panel', () => {
  it('is worked out once for each kind of panel in an hour', () => {
    const site = hour(-3);
    const { surface } = roof();
    expect(panelAir(BAY, surface, site)).toBe(panelAir(BAY, surface, site));
    const other = { ...surface, absorptanceFraction: surface.absorptanceFraction / 2 };
    expect(panelAir(BAY, other, site)).not.toBe(panelAir(BAY, surface, site));
    expect(panelAir(BAY, surface, site).keepsLiquid).toBe(false);
    expect(panelAir(BAY, surface, hour(15)).keepsLiquid).toBe(true);
    expect(panelSunWm2(BAY, surface, site)).toBe(0);
  });

  it('is by where the nose points in the second place', () => {
    const light = { globalWm2: 250, beamNormalWm2: 600, diffuseWm2: 50 };
    const flank = { tiltDeg: 90, facesDeg: 90, absorptanceFraction: 0.7 };
    const at = (carHeadingDeg?: number): number =>
      panelSunWm2(
        { carHeadingDeg: 0 },
        flank,
        hour(0, { light, ...(carHeadingDeg === undefined ? {} : { carHeadingDeg }) }),
      );
    expect(at(0)).toBe(at());
    // Turned a quarter, its right flank faces the sun in the south.
    expect(at(90)).toBeGreaterThan(at() + 100);
  });
});

describe('what the desk and the strip are given', () => {
  it('is every event in grams, and each wait on the clock of the wash', () => {
    const [first] = washPanels({ vehicle: VEHICLE, place: BAY, method }, DEFAULT_LIMITS, [
      { fromMinute: 0, site: hour(-8) },
    ]);
    const { events } = roof();
    expect(first?.panel).toBe('roof');
    expect(first?.input.events.at(-1)).toMatchObject({
      kind: 'wipe',
      leavesGramsPerM2: DEFAULT_LIMITS.towelLeavesGramsPerM2,
      rubs: true,
    });
    expect(first?.input.events[0]).toMatchObject({
      kind: 'wet',
      filmGramsPerM2: DEFAULT_LIMITS.productGramsPerM2,
    });
    const last = first?.waits.at(-1);
    expect(last?.atMinute).toBe(events[2]?.atMinute);
    expect(last?.untilMinute).toBe(events.at(-1)?.atMinute);
    expect(last?.iceMinute ?? NaN).toBeGreaterThanOrEqual(last?.atMinute ?? NaN);
    // The first rinse, to which more water comes and no hand, waits for nothing.
    expect(first?.waits.map(({ atMinute }) => atMinute)).toEqual([events[0]?.atMinute, events[2]?.atMinute]);
  });
});
