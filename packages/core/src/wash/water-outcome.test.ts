import { describe, expect, it } from '@jest/globals';
import type { Method, WashStep } from '../method/index.js';
import { BAY } from '../testing/shop.js';
import type { PanelId } from '../vehicle/index.js';
import { outcomeOf, type PlaceHour, type Track, type Waited } from './index.js';

const site = { air: { airTempC: -3 }, light: {}, sun: {} } as unknown as PlaceHour;
const HOURS = [{ fromMinute: 0, site: { ...site, isDriven: true } }] as const;
const method = {
  steps: [
    {
      id: 'foam',
      dwell: { minMinutes: 3, maxMinutes: 8 },
      product: { dwell: { minMinutes: 3, maxMinutes: 8 } },
    },
    { id: 'final-rinse', dwell: null },
  ] as unknown as WashStep[],
} as unknown as Method;

interface Told {
  readonly panel?: PanelId;
  readonly material?: string;
  readonly step?: number;
  readonly toTouch?: number | null;
  readonly toOff?: number | null;
  readonly isLast?: boolean;
  readonly ice?: number | null;
  readonly dry?: number | null;
  readonly film?: number;
  readonly lowest?: number;
  readonly highest?: number;
}
const piece = (told: Told): { track: Track; waited: readonly Waited[] } => {
  const { panel = 'roof', material = 'body', step = 1, toTouch = null, toOff = null, isLast = false } = told;
  const wait = { event: 0, toTouch, toOff, watchMinutes: 60, isLast };
  return {
    track: { panel: { id: panel, material }, events: [{ step }] } as unknown as Track,
    waited: [
      {
        wait,
        iceMinutes: told.ice ?? null,
        dryMinutes: told.dry ?? null,
        lowestC: told.lowest ?? 1,
        highestC: told.highest ?? 9,
        filmGramsPerM2: told.film ?? 100,
        startC: 5,
      },
    ],
  };
};
const outcome = (...told: Told[]) => outcomeOf(told.map(piece), { place: BAY, method }, HOURS);

describe('the wait in most danger', () => {
  it('is the one that has least of what it needs, not the shortest', () => {
    const { ice } = outcome(
      { panel: 'left', toTouch: 10, ice: 12 },
      { panel: 'right', toTouch: 2, ice: 4 },
      { panel: 'bonnet', toTouch: 10, ice: null },
    );
    expect(ice).toEqual({ panel: 'left', minutes: 12, needed: 10, step: 'final-rinse' });
  });

  it('of what nothing comes to is the soonest, and of equals the first', () => {
    expect(
      outcome({ panel: 'left', isLast: true, ice: 9 }, { panel: 'rear', isLast: true, ice: 4 }).ice,
    ).toMatchObject({
      panel: 'rear',
      minutes: 4,
      needed: 0,
    });
    expect(
      outcome({ panel: 'left', toTouch: 5, ice: 5 }, { panel: 'rear', toTouch: 4, ice: 4 }).ice.panel,
    ).toBe('left');
  });

  it('is none of what only water comes to', () => {
    const found = outcome({ ice: 1, dry: 1, lowest: -30 });
    expect(found.ice).toEqual({ panel: 'roof', minutes: null, needed: 0, step: null });
    expect(found.coldest.tempC).toBe(-3);
    expect(found.dry).toMatchObject({ minutes: null, filmGramsPerM2: 0, warmestC: -Infinity });
  });

  it('tells the coldest of what a hand comes to or what is left', () => {
    const found = outcome(
      { panel: 'left', toTouch: 3, lowest: -2 },
      { panel: 'boot', isLast: true, lowest: -4 },
      { panel: 'rear', lowest: -9 },
    );
    expect(found.coldest).toEqual({ panel: 'boot', tempC: -4 });
  });
});

describe('the last water', () => {
  it('differs on paint and on glass', () => {
    const found = outcome(
      { panel: 'windscreen', material: 'glass', isLast: true, toTouch: 9, dry: 10 },
      { panel: 'left', isLast: true, toTouch: 9, dry: 12, film: 70, highest: 30 },
    );
    expect(found.dryGlass).toMatchObject({ panel: 'windscreen', minutes: 10 });
    expect(found.dry).toEqual({
      panel: 'left',
      minutes: 12,
      needed: 9,
      step: 'final-rinse',
      filmGramsPerM2: 70,
      warmestC: 30,
    });
    expect(outcome({ panel: 'left', isLast: true }).dryGlass).toBeNull();
  });

  it('that is left to dry is where there is most of it', () => {
    const found = outcome(
      { panel: 'left', isLast: true, dry: 3, film: 60 },
      { panel: 'roof', isLast: true, dry: 30, film: 140 },
      { panel: 'boot', isLast: true, dry: 2, film: 140 },
    );
    expect(found.dry).toMatchObject({ panel: 'roof', filmGramsPerM2: 140 });
  });

  it('that is wiped is the one nearest to drying first', () => {
    const found = outcome(
      { panel: 'left', isLast: true, toTouch: 5, dry: 10, film: 200 },
      { panel: 'roof', isLast: true, toTouch: 5, dry: 6, film: 60 },
    );
    expect(found.dry.panel).toBe('roof');
  });
});

describe('what is put on', () => {
  it('is given by what dries on soonest, and by what outstays its label most', () => {
    const found = outcome(
      { panel: 'left', step: 0, toOff: 4, dry: 9 },
      { panel: 'rear', step: 0, toOff: 6, dry: 8 },
    );
    expect(found.product).toEqual({ panel: 'rear', minutes: 8, needed: 6, step: 'foam' });
    expect(found.label).toEqual({ panel: 'rear', minutes: 8, needed: 6, step: 'foam' });
  });

  it('has no label where the step has none, nor where nothing is put on', () => {
    expect(outcome({ step: 1, toOff: 4, dry: 9 }).label).toBeNull();
    expect(outcome({ step: 0, dry: 9 })).toMatchObject({
      label: null,
      product: { minutes: null, step: null },
    });
  });
});

describe('the sun', () => {
  it('on the road between two places is not the sun in which it is washed', () => {
    expect(outcome({ isLast: true }).sun).toEqual({ panel: 'roof', brightestWm2: 0, dimmestWm2: 0 });
  });
});
