import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { Place } from '../place/index.js';
import { BAY, circumstances, HEATED_UNIT, VEHICLE, WATER } from '../testing/shop.js';
import type { WeatherHour } from '../weather/index.js';
import {
  cellDetail,
  type CellRequest,
  type Flip,
  type FlipInput,
  flipsOf,
  NightAir,
  type WeatherSpan,
} from './index.js';

const FROM = Date.UTC(2026, 0, 14, 5);
const START = FROM + 48 * MS_PER_HOUR + 14 * MS_PER_HOUR;

/** The same hour, over and over. */
const steady = (change: Partial<WeatherHour> = {}): WeatherSpan => ({
  fromMs: FROM,
  hours: Array.from({ length: 24 * 6 }, (_, i) => ({
    atMs: FROM + i * MS_PER_HOUR,
    airTempC: -1,
    dewPointC: -4,
    windMetresPerSecond: 2,
    gustMetresPerSecond: 4,
    windFromDeg: 300,
    cloudFraction: 0.9,
    precipMm: 0,
    precipKind: 'none',
    snowDepthCm: 0,
    pressureHpa: 1010,
    ...change,
  })),
});

const request = (place: Place, methodId: string, span: WeatherSpan): CellRequest => ({
  ...circumstances(span, { vehicle: { ...VEHICLE, waterBehaviour: 'beading' } }),
  place,
  methodId,
  control: span,
  roadAhead: null,
});

const byInput = (flips: readonly Flip[]): Record<FlipInput, Flip> =>
  Object.fromEntries(flips.map((flip) => [flip.input, flip])) as Record<FlipInput, Flip>;

describe('flips', () => {
  const span = steady();
  const asked = request(BAY, 'bay-touch-free', span);
  const base = cellDetail(asked, START).judgement.standing;
  const flips = byInput(flipsOf(asked, START));

  it('ask every input once', () => {
    expect(Object.keys(flips).sort()).toEqual(
      ['air', 'cloud', 'hand-speed', 'humidity', 'solids', 'start', 'wind'].sort(),
    );
  });

  it('say where the air changes the answer, and the engine agrees on both sides', () => {
    const { at, now, standing } = flips.air;
    expect(now).toBe(-1);
    expect(at).not.toBeNull();
    if (at === null) return;
    const standingAt = (airTempC: number): string => {
      const shift = airTempC - now;
      const moved = steady({ airTempC, dewPointC: -4 + shift });
      return cellDetail({ ...asked, control: moved, night: new NightAir(null, moved) }, START).judgement
        .standing;
    };
    expect(standing).not.toBe(base);
    expect(standingAt(at)).toBe(standing);
    const back = at + Math.sign(now - at) * 0.4;
    expect(standingAt(back)).toBe(base);
  });

  it('say by how much slower one may work', () => {
    const { at, now, standing } = flips['hand-speed'];
    // Foam, rinse, last rinse, blower and towel.
    expect(now).toBe(18);
    if (at !== null) expect(standing).not.toBe(base);
    // Cold and damp: working fast enough is what makes it go, so some speed must matter.
    expect(at).not.toBeNull();
  });

  it('find closing time by moving the start', () => {
    const { at } = flips.start;
    expect(at).not.toBeNull();
    expect(Math.abs((at ?? 0) - START)).toBeLessThanOrEqual(12 * MS_PER_HOUR);
    expect(cellDetail(asked, at ?? 0).judgement.standing).not.toBe(base);
  });

  it('find the hardness that spots', () => {
    const warm = steady({ airTempC: 16, dewPointC: 2, cloudFraction: 0.9 });
    // A machine leaves a quarter of the water to dry.
    const place: Place = {
      ...BAY,
      kind: 'automatic-bay',
      finalRinse: null,
      washWater: { ...WATER, tdsMgPerLitre: 40 },
      methods: [{ methodId: 'touchless-automatic', priceMinor: 0 }],
    };
    const dry = request(place, 'touchless-automatic', warm);
    const { solids } = byInput(flipsOf(dry, START));
    expect(cellDetail(dry, START).judgement.standing).toBe('go');
    expect(solids.at).toBeGreaterThan(40);
    const harder = { ...place, washWater: { ...WATER, tdsMgPerLitre: solids.at ?? 0 } };
    expect(cellDetail({ ...dry, place: harder }, START).judgement.standing).toBe(solids.standing);
  });

  it('are not there where nothing in range matters', () => {
    const { wind, cloud } = byInput(flipsOf(request(HEATED_UNIT, 'garage-rinseless', span), START));
    expect(wind).toMatchObject({ at: null, standing: null, limiting: null });
    expect(cloud.at).toBeNull();
  });

  it('leave hands out where no hand dries it, and all where there is no weather', () => {
    const place: Place = {
      ...BAY,
      kind: 'automatic-bay',
      methods: [{ methodId: 'touchless-automatic', priceMinor: 0 }],
    };
    const machine = flipsOf(request(place, 'touchless-automatic', span), START);
    expect(machine.some(({ input }) => input === 'hand-speed')).toBe(false);
    expect(flipsOf(asked, FROM - MS_PER_HOUR)).toEqual([]);
  });
});
