import { describe, expect, it } from '@jest/globals';
import { VEHICLE } from '../testing/shop.js';
import {
  ABSORPTANCE_FRACTION,
  behaviourOn,
  CAR_ZONES,
  type CarZone,
  floodFilmGramsPerM2,
  PAINT_TONES,
  panelM2,
  panelsOf,
  SPOTS_SHOW_MG_PER_M2,
  ZONE_OF_PANEL,
  zoneOf,
  type ZoneProtection,
} from './index.js';

const ROOF: ZoneProtection = {
  zone: 'roof',
  kind: 'wax',
  appliedMs: null,
  claimedLifeDays: null,
  observed: null,
};
const car = (protections: ZoneProtection[]) => ({
  ...VEHICLE,
  waterBehaviour: 'beading' as const,
  protections,
});

describe('what water does on a panel', () => {
  it('is what was seen on its zone, before anything of the car', () => {
    const seen = car([{ ...ROOF, kind: 'bare', observed: { behaviour: 'sheeting', atMs: 1 } }]);
    expect(behaviourOn(seen, 'roof')).toBe('sheeting');
    expect(behaviourOn(seen, 'bonnet')).toBe('beading');
  });

  it('is flat on bare paint that nobody looked at, else as on the car', () => {
    expect(behaviourOn(car([{ ...ROOF, kind: 'bare' }]), 'roof')).toBe('flat');
    expect(behaviourOn(car([ROOF]), 'roof')).toBe('beading');
    expect(behaviourOn(car([]), 'roof')).toBe('beading');
  });
});

describe('water left by a flood rinse, g/m²', () => {
  it.each([
    { behaviour: 'flat', level: 150, half: 120, upright: 90 },
    { behaviour: 'sheeting', level: 100, half: 80, upright: 60 },
    { behaviour: 'beading', level: 60, half: 47.5, upright: 35 },
  ] as const)('$behaviour: $level lying, $half at 45°, $upright upright', ({ behaviour, ...film }) => {
    expect(floodFilmGramsPerM2(behaviour, 0)).toBe(film.level);
    expect(floodFilmGramsPerM2(behaviour, 45)).toBe(film.half);
    expect(floodFilmGramsPerM2(behaviour, 90)).toBe(film.upright);
    expect(floodFilmGramsPerM2(behaviour, 120)).toBe(film.upright);
    expect(floodFilmGramsPerM2(behaviour, -10)).toBe(film.level);
  });
});

it('the darker the paint the more sun it takes and the sooner spots show', () => {
  const sun = PAINT_TONES.map((tone) => ABSORPTANCE_FRACTION[tone]);
  const spots = PAINT_TONES.map((tone) => SPOTS_SHOW_MG_PER_M2[tone]);
  expect(sun).toEqual([0.25, 0.45, 0.7, 0.93]);
  expect(spots).toEqual([30, 25, 15, 12]);
});

describe('the panels of a body', () => {
  it.each([
    { bodyClass: 'saloon', bootDeg: 8 },
    { bodyClass: 'hatch', bootDeg: 65 },
    { bodyClass: 'estate', bootDeg: 75 },
    { bodyClass: 'suv', bootDeg: 78 },
    { bodyClass: 'van', bootDeg: 88 },
    { bodyClass: 'pickup', bootDeg: 90 },
  ] as const)('of a $bodyClass: eight, the boot at $bootDeg° and to the rear', ({ bodyClass, bootDeg }) => {
    const panels = panelsOf(bodyClass);
    expect(panels.map(({ id }) => id).toSorted()).toEqual(Object.keys(ZONE_OF_PANEL).toSorted());
    expect(panels.find(({ id }) => id === 'boot')).toEqual({
      id: 'boot',
      tiltDeg: bootDeg,
      facesDeg: 180,
      material: 'body',
    });
  });

  it('are larger on a larger body, each by the same share', () => {
    expect(panelM2('saloon', 'roof')).toBe(1.9);
    expect(panelM2('van', 'roof')).toBeCloseTo(1.9 * 1.6, 9);
    expect(panelM2('hatch', 'left')).toBeCloseTo(3.2 * 0.9, 9);
  });
});

describe('a zone', () => {
  it('is found by its name, with its group and side', () => {
    for (const row of CAR_ZONES) expect(zoneOf(row.zone)).toBe(row);
  });

  it('that is none is refused, with those that are', () => {
    const call = (): unknown => zoneOf('sunroof' as CarZone);
    expect(call).toThrow(RangeError);
    expect(call).toThrow(
      `zoneOf: zone is sunroof; allowed is ${CAR_ZONES.map(({ zone }) => zone).join(', ')}`,
    );
  });
});
