import { describe, expect, it } from '@jest/globals';
import {
  type Band,
  byGroup,
  CAR_ZONE_IDS,
  DEFAULT_DISPLAY,
  type FilmInput,
  filmTrace,
  METHODS,
  type ZoneSoil,
  type BalanceRow,
  type PlaceRecord,
} from '@keen/core';
import { makeFormat } from '../format/format.js';
import { filmOf, labPath } from '../parts/lab-path.js';
import { NOSE_UP, unfoldedShape } from '../parts/unfolded-car-shape.js';
import { balanceCsv, leftOn, priceOfHourMinor, sortRows, usualPlans } from './balance/balance-view.js';
import {
  compatibilityByZone,
  gradeText,
  likeZones,
  protectionLayer,
  protectionRow,
  soilLayer,
  waterLayer,
  withRows,
} from './condition/condition-view.js';
import { drawnMinutes, edgeKind, minuteTicks, PLAIN_FILM, tempScaleOf, wipeMargin } from './lab/lab-view.js';
import { flipDistance, flipValue, sortFlips } from './windows/flip-view.js';
import { bandLayout, BAND_GAP, goingAt, HEAD_HEIGHT, roadRuns } from './windows/ribbon-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');

describe('the unfolded car', () => {
  it.each(['saloon', 'estate', 'hatch', 'suv', 'pickup', 'van'] as const)(
    'of a %s has every zone once',
    (body) => {
      for (const underbody of ['beside', 'behind'] as const) {
        const { areas, left, top, width, height, bearings } = unfoldedShape(body, underbody);
        expect(bearings.map(({ text }) => text)).toEqual(['FRONT', 'LEFT', 'RIGHT']);
        expect(areas.map(({ zone }) => zone).sort()).toEqual([...CAR_ZONE_IDS].sort());
        for (const { path, labelX, labelY } of areas) {
          expect(path).not.toMatch(/NaN|undefined/);
          expect(labelX).toBeGreaterThan(left);
          expect(labelX).toBeLessThan(left + width);
          expect(labelY).toBeGreaterThan(top);
          expect(labelY).toBeLessThan(top + height);
        }
      }
    },
  );

  it('is longer for a van than for a hatch, narrower with the underbody behind', () => {
    expect(unfoldedShape('van').height).toBeGreaterThan(unfoldedShape('hatch').height);
    expect(unfoldedShape('van', 'behind').width).toBeLessThan(unfoldedShape('van').width);
  });

  it('stands nose up with its left on the left, as it is seen from above', () => {
    const { areas, bearings } = unfoldedShape('saloon');
    const at = (zone: string) => areas.find((area) => area.zone === zone);
    const word = (text: string) => bearings.find((bearing) => bearing.text === text);
    const order = ['front', 'bonnet', 'glass', 'roof', 'boot', 'rear'].map((zone) => at(zone)?.labelY ?? NaN);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const part of ['upper', 'lower', 'wheels', 'arches']) {
      expect(at(`${part}-left`)?.labelX ?? NaN).toBeLessThan(at('roof')?.labelX ?? NaN);
      expect(at(`${part}-right`)?.labelX ?? NaN).toBeGreaterThan(at('roof')?.labelX ?? NaN);
    }
    expect(word('LEFT')?.x ?? NaN).toBeLessThan(at('wheels-left')?.labelX ?? NaN);
    expect(word('RIGHT')?.x ?? NaN).toBeGreaterThan(at('wheels-right')?.labelX ?? NaN);
    expect(word('FRONT')?.y ?? NaN).toBeLessThan(at('front')?.labelY ?? NaN);
    // The paths are drawn through a transposition, so that what is written along the car stands upright.
    expect(NOSE_UP).toBe('matrix(0 1 1 0 0 0)');
  });
});

describe('the lab', () => {
  it('keeps a film in its address', () => {
    const film: FilmInput = { ...PLAIN_FILM, airTempC: -7.25, brine: { agent: 'MgCl2', massPercent: 4 } };
    const query = new URLSearchParams(
      labPath(film, { panel: 'roof', place: 'North drive', startMs: 5 }).split('?')[1],
    );
    expect(filmOf(query, PLAIN_FILM)).toEqual(film);
    expect(query.get('place')).toBe('North drive');
  });

  it('takes a plain film where the address says nothing or nonsense', () => {
    expect(filmOf(new URLSearchParams(), PLAIN_FILM)).toEqual({ ...PLAIN_FILM, brine: undefined });
    const nonsense = new URLSearchParams({
      airTempC: 'warm',
      material: 'wood',
      agent: 'sugar',
      massPercent: '5',
    });
    expect(filmOf(nonsense, PLAIN_FILM)).toEqual({ ...PLAIN_FILM, brine: undefined });
  });

  const cold = filmTrace(PLAIN_FILM);
  const hot = filmTrace({ ...PLAIN_FILM, airTempC: 30, solarWm2: 800, skyTempC: 20, startTempC: 30 });

  it('says what ends the wet edge and how far that is from wiping', () => {
    expect(edgeKind(cold)).toBe('freezes');
    expect(edgeKind(hot)).toBe('dries');
    const { neededMinutes, marginMinutes } = wipeMargin(cold, 9, 0.33);
    expect(neededMinutes).toBeCloseTo(11.97, 9);
    expect(marginMinutes).toBeCloseTo((cold.wetEdgeMinutes ?? NaN) - 11.97, 9);
    const damp = filmTrace({
      ...PLAIN_FILM,
      airTempC: 6,
      relHumidityFraction: 1,
      skyTempC: 5,
      horizonMinutes: 15,
    });
    expect(edgeKind(damp)).toBe('neither');
    expect(wipeMargin(damp, 9, 0.33).marginMinutes).toBeNull();
  });

  it('draws to the end of the film and keeps 0 °C and the air in sight', () => {
    expect(drawnMinutes(cold, 60)).toBe(60);
    expect(drawnMinutes(hot, 60)).toBeLessThan(10);
    const scale = tempScaleOf(cold.points, -3);
    expect(scale.at(0)).toBeGreaterThan(0);
    expect(scale.at(scale.high)).toBe(1);
    expect(Math.abs(scale.low % 5)).toBe(0);
  });

  it.each([
    { minutes: 60, most: 7, ticks: [0, 10, 20, 30, 40, 50, 60] },
    { minutes: 60, most: 4, ticks: [0, 15, 30, 45, 60] },
    { minutes: 3, most: 7, ticks: [0, 0.5, 1, 1.5, 2, 2.5, 3] },
  ])('ticks $minutes min in at most $most steps', ({ minutes, most, ticks }) => {
    expect(minuteTicks(minutes, most)).toEqual(ticks);
  });
});

const row = (change: Partial<BalanceRow>): BalanceRow =>
  ({
    placeId: 'bay',
    methodId: 'bay-touch-free',
    verdict: 'go',
    limiting: { ruleId: 'spots', level: 'clear', margin: 9, unit: 'mg/m²', comfort: 1, actual: 2, limit: 11 },
    removes: byGroup(() => 0.9),
    left: [{ zone: 'underbody', loadGramsPerM2: 1.5, activeHours: 3 }],
    leaves: [],
    minutes: { wash: 30, travel: 20, queue: 0, hands: 20 },
    cost: { visitMinor: 0, meterMinor: 900, productMinor: 90, totalMinor: 990, meter: null },
    timeMinor: 1000,
    litres: 80,
    activeHoursSaved: 10,
    saltMinor: 120,
    ...change,
  }) as BalanceRow;

describe('the balance', () => {
  const rows = [
    row({ methodId: 'drive-hose', verdict: 'no', litres: 140, activeHoursSaved: 12 }),
    row({
      methodId: 'bay-contact',
      litres: 100,
      activeHoursSaved: 11,
      minutes: { wash: 60, travel: 20, queue: 5, hands: 40 },
    }),
    row({ methodId: 'waterless', verdict: 'go-if', litres: 1, activeHoursSaved: 3 }),
  ];

  it.each([
    { sort: 'verdict', first: 'bay-contact', last: 'drive-hose' },
    { sort: 'salt', first: 'drive-hose', last: 'waterless' },
    { sort: 'water', first: 'waterless', last: 'drive-hose' },
    { sort: 'minutes', first: 'drive-hose', last: 'bay-contact' },
  ] as const)('sorts by $sort', ({ sort, first, last }) => {
    const sorted = sortRows(rows, sort).map(({ methodId }) => methodId);
    expect([sorted[0], sorted.at(-1)]).toEqual([first, last]);
  });

  it('exports a line a method, commas and all', () => {
    const places = [{ id: 'bay', name: 'Pier Road, bay' }] as unknown as PlaceRecord[];
    const lines = balanceCsv(rows, places, format).split('\n');
    expect(lines).toHaveLength(4);
    expect(lines[0]).toContain('active_hours_saved');
    expect(lines[1]).toMatch(/^"Pier Road, bay",hose on the drive,No,/);
  });

  it('tells what is left, and offers cadences of what the places can do', () => {
    expect(leftOn(row({}), 'underbody')).toBe(1.5);
    expect(leftOn(row({}), 'roof')).toBe(0);
    const bay = { methods: [{ methodId: 'bay-touch-free', priceMinor: 0 }] } as unknown as PlaceRecord;
    expect(
      usualPlans([bay]).every(({ parts }) => parts.every(({ methodId }) => methodId === 'bay-touch-free')),
    ).toBe(true);
    expect(usualPlans([])).toEqual([]);
    const outcome = { moneyMinor: 500, activeHoursSaved: 10 } as Parameters<typeof priceOfHourMinor>[0];
    expect(priceOfHourMinor(outcome)).toBe(50);
    expect(priceOfHourMinor({ ...outcome, activeHoursSaved: 0 })).toBeNull();
  });
});

describe('condition', () => {
  const vehicle = {
    protection: 'coating' as const,
    waterBehaviour: 'sheeting' as const,
    delicateWheels: true,
    hasChargePort: false,
    protections: [
      {
        zone: 'rear',
        kind: 'wax',
        appliedMs: 5,
        claimedLifeDays: 60,
        observed: { behaviour: 'flat', atMs: 9 },
      } as const,
    ],
  };

  it('draws one kind of soil, what was seen marked', () => {
    const soil: ZoneSoil[] = [{ zone: 'rear', kind: 'grit', grade: 2.5, origin: 'measured' }];
    const layer = soilLayer(soil, 'grit');
    expect(layer.rear).toMatchObject({ text: '2.5', strength: 0.5, isMeasured: true });
    expect(layer.roof).toMatchObject({ text: '0', strength: 0, isMeasured: false });
    expect(gradeText(2.5, 'grit')).toBe('2.5, film with grit');
    expect(gradeText(2, 'tar')).toBe('2, little');
  });

  it('draws what is left of protection, what was seen going before the sums', () => {
    const state = { kind: 'wax', ageDays: 1, lifeDays: 60, strongWashes: 0, saltDays: 0 } as const;
    const layer = protectionLayer([
      { ...state, zone: 'roof', standing: 'sound', leftFraction: 0.72, observed: null },
      {
        ...state,
        zone: 'rear',
        standing: 'clogged-or-gone',
        leftFraction: 0.9,
        observed: { behaviour: 'flat', atMs: 9 },
      },
      { ...state, zone: 'glass', kind: 'bare', standing: 'none', leftFraction: null, observed: null },
    ]);
    expect(layer.roof?.text).toBe('72 %');
    expect(layer.rear).toMatchObject({ text: 'flat', strength: 0, isMeasured: true });
    expect(layer.glass?.text).toBe('');
  });

  it('shows water as seen, or as on the car', () => {
    const layer = waterLayer(vehicle);
    expect(layer.rear).toMatchObject({ text: 'flat', isMeasured: true });
    expect(layer.roof).toMatchObject({ text: 'sheets', isMeasured: false });
    expect(layer.underbody).toBeUndefined();
  });

  it('changes the rows of the zones it names and keeps the others', () => {
    const made = protectionRow(vehicle, 'roof');
    expect(made).toMatchObject({ zone: 'roof', kind: 'coating', appliedMs: null });
    const rows = withRows(vehicle.protections, [{ ...made, kind: 'sealant' }]);
    expect(rows).toHaveLength(2);
    expect(withRows(rows, [{ ...made, kind: 'bare' }]).filter(({ zone }) => zone === 'roof')).toHaveLength(1);
    expect(likeZones('roof')).toContain('rear');
    expect(likeZones('wheels-left')).toEqual(['wheels-left', 'wheels-right']);
  });

  it('says what a product does where', () => {
    const answers = new Map(
      compatibilityByZone(vehicle, { role: 'film-remover', inUsePh: 12.5 }).map(({ zone, answer }) => [
        zone,
        answer.kind,
      ]),
    );
    expect(answers.get('rear')).toBe('re-protect');
    expect(answers.get('roof')).toBe('fine');
    expect(answers.get('wheels-left')).toBe('block');
    expect(answers.has('underbody')).toBe(false);
  });
});

describe('flips', () => {
  const flip = { input: 'air', now: -2, low: -17, high: 13, standing: 'no', limiting: null } as const;

  it('stand nearest first, what never changes last', () => {
    const flips = [
      { ...flip, at: null, standing: null },
      { ...flip, at: 10 },
      { ...flip, at: -3.5 },
    ];
    expect(sortFlips(flips).map(({ at }) => at)).toEqual([-3.5, 10, null]);
    expect(flipDistance({ ...flip, at: -3.5 })).toBeCloseTo(0.1, 9);
  });

  it.each([
    { input: 'air', value: -3.5, text: '−3.5 °C' },
    { input: 'wind', value: 5, text: '18 km/h' },
    { input: 'humidity', value: 0.72, text: '72 %' },
    { input: 'solids', value: 120.4, text: '120 mg/L' },
    { input: 'hand-speed', value: 9, text: '9.0 min' },
  ] as const)('tell $input in its unit', ({ input, value, text }) => {
    expect(flipValue(input, value, format)).toBe(text);
  });
});

describe('the ribbon’s layout', () => {
  it('puts each place’s name over its bands and grows thin where there are many', () => {
    const few = bandLayout([{ placeId: 'a' }, { placeId: 'a' }, { placeId: 'b' }]);
    expect(few.heads).toEqual([true, false, true]);
    const step = few.thick + BAND_GAP;
    expect(few.tops).toEqual([HEAD_HEIGHT, HEAD_HEIGHT + step, 2 * HEAD_HEIGHT + 2 * step]);
    const many = bandLayout(METHODS.map(() => ({ placeId: 'a' })));
    expect(many.thick).toBeLessThan(few.thick);
  });

  it('finds what goes at an hour, the surest first', () => {
    const band = (verdict: string, comfort: number) =>
      ({ cells: [{ verdict, limiting: { comfort } }] }) as unknown as Band;
    const bands = [band('no', -1), band('go-if', 5), band('go', 0.2), band('go', 0.9), band('wait', 0)];
    expect(goingAt(bands, 0)).toEqual([3, 2, 1]);
    expect(goingAt(bands, 9)).toEqual([]);
  });

  it('joins hours in which the road stays as it is', () => {
    const hours = (['dry', 'dry', 'wet', 'dry'] as const).map((road) => ({ road, pace: 0 }));
    expect(roadRuns(hours)).toEqual([
      { from: 0, length: 2, state: 'dry' },
      { from: 2, length: 1, state: 'wet' },
      { from: 3, length: 1, state: 'dry' },
    ]);
  });
});
