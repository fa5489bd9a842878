import { describe, expect, it } from '@jest/globals';
import { Phone, SECOND, START, TARIFF } from '../testing/live.js';
import {
  acidNow,
  closedRun,
  type EdgesNow,
  mergeActions,
  type RunDeed,
  type RunPack,
  runMoment,
  runState,
} from './index.js';

/** A step of a made-up sheet: whole minutes, no dwell and no product unless said. */
const step = (id: string, minutes: number, change: object = {}) => ({
  id,
  minutes,
  groups: ['upper', 'lower'],
  dwell: null,
  mix: null,
  onMeter: false,
  stopsMeter: false,
  faults: [],
  litres: 10,
  contact: false,
  ...change,
});
const mix = (productId: string, role: string, inUsePh: number, ml: number) => ({
  role,
  product: { id: productId, name: `The ${productId}`, role, inUsePh },
  productMl: ml,
  amounts: [{ productMl: ml }],
  faults: [],
});

const STEPS = [
  step('foam', 4, { mix: mix('foam', 'alkaline-pre-wash', 11, 50), dwell: { minMinutes: 2, maxMinutes: 6 } }),
  step('rinse', 6, { onMeter: true }),
  step('contact', 20, { contact: true }),
  step('final-rinse', 4, { onMeter: true, stopsMeter: true, litres: 25 }),
  step('towel', 6),
  step('seal', 5, { mix: mix('wax', 'spray-wax', 7, 15) }),
];
const MEDIA = { mitts: 2, foldedTowels: 5, dryingTowels: 3 };

const pack = (change: { pausable?: boolean; tariff?: null; steps?: readonly unknown[] } = {}): RunPack => {
  const steps = change.steps ?? STEPS;
  const tariff = change.tariff === null ? null : { ...TARIFF, pausable: change.pausable ?? false };
  return {
    sheet: {
      steps,
      minutes: 55,
      edges: [],
      preparation: { media: MEDIA, money: { visitMinor: 700, meterMinor: 650 } },
    },
    method: { steps, media: MEDIA },
    vehicle: { bodyClass: 'saloon' },
    place: { kind: 'garage', finalRinse: null, tariff },
    soilBefore: {},
    sunsetMs: null,
    hours: [],
  } as unknown as RunPack;
};

const begun = (): Phone => new Phone().at(0, { kind: 'start', packId: 'pack' });
const did = (phone: Phone, key: string, from: number, to: number): Phone =>
  phone.at(from, { kind: 'begin', step: key }).at(to, { kind: 'end', step: key });
const closing = (used: Partial<Extract<RunDeed, { kind: 'close' }>['used']> = {}): RunDeed => ({
  kind: 'close',
  found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
  used: { foldedTowels: null, dryingTowels: null, paidMinor: null, ...used },
});
const stateOf = (phone: Phone, of = pack()) => runState(of, mergeActions(phone.log));
const closedOf = (phone: Phone, of = pack()) => {
  const closed = closedRun(of, stateOf(phone, of));
  if (!closed) throw new Error('the run is not closed');
  return closed;
};

describe('what a closed run lays', () => {
  it('is each coat that was put on, by the bottle that was mixed, and none of the steps that were not done', () => {
    const done = did(begun(), 'seal-5', 10, 300).at(400, closing());
    expect(closedOf(done).laid).toEqual([
      { kind: 'wax', productName: 'The wax', groups: ['upper', 'lower'] },
    ]);
    const skipped = begun().at(10, { kind: 'skip', step: 'seal-5', reason: 'no-time' }).at(400, closing());
    expect(closedOf(skipped).laid).toEqual([]);
    expect(closedOf(did(begun(), 'rinse-1', 10, 300).at(400, closing())).laid).toEqual([]);
  });

  it('is a sealant without a name where no bottle is known', () => {
    const of = pack({ steps: [step('seal', 5)] });
    expect(closedOf(did(begun(), 'seal-0', 0, 60).at(90, closing()), of).laid).toEqual([
      { kind: 'sealant', productName: null, groups: ['upper', 'lower'] },
    ]);
  });
});

describe('what a closed run takes out of the kit', () => {
  it('is nothing where nothing was done', () => {
    expect(closedOf(begun().at(60, closing())).used).toEqual({
      products: [],
      foldedTowels: 0,
      dryingTowels: 0,
      mitts: 0,
      tapLitres: 0,
      resinLitres: 0,
    });
  });

  it.each([
    { key: 'rinse-1', mitts: 0, folded: 0, drying: 0, tap: 10, why: 'water alone' },
    { key: 'contact-2', mitts: 2, folded: 5, drying: 0, tap: 10, why: 'a wash by hand, air-dried' },
    { key: 'towel-4', mitts: 0, folded: 5, drying: 3, tap: 10, why: 'only dried' },
    { key: 'final-rinse-3', mitts: 0, folded: 0, drying: 0, tap: 25, why: 'the last rinse alone' },
  ])('$why', ({ key, mitts, folded, drying, tap }) => {
    const { used, record } = closedOf(did(begun(), key, 10, 130).at(140, closing()));
    expect(used).toMatchObject({ mitts, foldedTowels: folded, dryingTowels: drying, tapLitres: tap });
    expect(record).toMatchObject({ foldedTowels: folded, dryingTowels: drying });
  });

  it('is what was said of cloths, none being an answer too', () => {
    const used = { foldedTowels: 0, dryingTowels: 7 };
    const done = did(begun(), 'towel-4', 10, 130).at(140, closing(used));
    expect(closedOf(done).used).toMatchObject(used);
  });
});

describe('minutes and money of a closed run', () => {
  const paid = did(begun(), 'rinse-1', 0, 300)
    .at(0, { kind: 'meter-on' })
    .at(270, { kind: 'meter-off' })
    .at(600, closing());

  it('are the visit and the meter, whose run ended before the close', () => {
    const { costMinor, record, minutes } = closedOf(paid);
    // 270 s: the start price for 240, then one block of 30.
    expect(costMinor).toBe(700 + 350);
    expect(record).toMatchObject({ meterMinor: 350, meterEstimateMinor: 650, waterMinutes: 4.5 });
    expect(minutes).toBe(10);
  });

  it('have a meter that ran on until the close', () => {
    const open = did(begun(), 'rinse-1', 0, 300).at(0, { kind: 'meter-on' }).at(600, closing());
    // 600 s: 240 for the start price, 360 more are twelve blocks.
    expect(closedOf(open).costMinor).toBe(700 + 300 + 12 * 50);
  });

  it('have no meter where none is, and no visit where nothing was done', () => {
    const of = pack({ tariff: null });
    const { costMinor, record } = closedOf(did(begun(), 'rinse-1', 0, 300).at(600, closing()), of);
    expect(costMinor).toBe(700);
    expect(record).toMatchObject({ meterMinor: null, meterEstimateMinor: null, waterMinutes: null });
    expect(closedOf(begun().at(600, closing()), of).costMinor).toBe(0);
  });

  it('leave out a pause, and are never less than a minute', () => {
    const paused = begun().at(60, { kind: 'pause' }).at(360, { kind: 'resume' }).at(600, closing());
    expect(closedOf(paused).minutes).toBe(5);
    expect(closedOf(begun().at(5, closing())).minutes).toBe(1);
  });

  it('tell each step that was not done with its reason, without one as “other”', () => {
    const { steps } = closedOf(
      did(begun(), 'rinse-1', 0, 300)
        .at(310, { kind: 'skip', step: 'contact-2', reason: 'too-cold' })
        .at(600, closing()),
    ).record;
    expect(
      steps.map(({ id, minutes, plannedMinutes, skipped }) => [id, minutes, plannedMinutes, skipped]),
    ).toEqual([
      ['foam', 0, 4, 'other'],
      ['rinse', 5, 6, null],
      ['contact', 0, 20, 'too-cold'],
      ['final-rinse', 0, 4, 'other'],
      ['towel', 0, 6, 'other'],
      ['seal', 0, 5, 'other'],
    ]);
  });
});

describe('a step taken out of its order', () => {
  it('goes in front of the nearest that waits, and the others keep theirs', () => {
    const keys = (phone: Phone) => stateOf(phone).steps.map(({ key }) => key);
    const sooner = did(begun(), 'foam-0', 0, 60).at(70, { kind: 'sooner', step: 'final-rinse-3' });
    expect(keys(sooner)).toEqual(['foam-0', 'rinse-1', 'final-rinse-3', 'contact-2', 'towel-4', 'seal-5']);
    expect(keys(begun().at(70, { kind: 'sooner', step: 'foam-0' }))[0]).toBe('foam-0');
    expect(keys(did(begun(), 'foam-0', 0, 60).at(70, { kind: 'sooner', step: 'rinse-1' }))[0]).toBe('foam-0');
  });

  it('ends where it is skipped while it runs', () => {
    const phone = begun()
      .at(10, { kind: 'begin', step: 'rinse-1' })
      .at(40, { kind: 'skip', step: 'rinse-1', reason: 'too-cold' });
    const rinse = stateOf(phone).steps[1];
    expect(rinse).toMatchObject({
      state: 'skipped',
      span: { fromMs: START + 10 * SECOND, toMs: START + 40 * SECOND },
    });
  });
});

describe('panels that are wet', () => {
  it('are wiped one by one, and a wet one is no longer wiped while the others stay so', () => {
    const phone = did(begun(), 'rinse-1', 0, 60)
      .at(70, { kind: 'wiped', panel: 'roof' }, { kind: 'wiped', panel: 'bonnet' })
      .at(80, { kind: 'wet', panel: 'roof' });
    const { wiped, wetSinceMs } = stateOf(phone);
    expect([...wiped]).toEqual(['bonnet']);
    expect(wetSinceMs.get('roof')).toBe(START + 80 * SECOND);
    expect(wetSinceMs.has('bonnet')).toBe(false);
  });

  it('show the share of their time that is left, within none and all', () => {
    const edges = [{ panel: 'roof', minutes: 10, ends: 'freezes' }] as unknown as EdgesNow['edges'];
    const phone = did(begun(), 'rinse-1', 0, 60);
    const at = (seconds: number) =>
      runMoment(pack(), stateOf(phone), {
        nowMs: START + seconds * SECOND,
        now: { edges, latest: {} },
      }).edges.find(({ panel }) => panel === 'roof');
    expect(at(60)).toMatchObject({ share: 1, leftSeconds: 600, ends: 'freezes' });
    expect(at(60 + 150)).toMatchObject({ share: 0.75, leftSeconds: 450 });
    expect(at(60 + 700)).toMatchObject({ share: 0, leftSeconds: -100 });
    expect(at(0)).toMatchObject({ share: 1 });
  });
});

describe('the meter that is pressed twice', () => {
  it('runs once, since the first', () => {
    const phone = begun().at(10, { kind: 'meter-on' }).at(12, { kind: 'meter-on' });
    expect(stateOf(phone).meter).toEqual([{ fromMs: START + 10 * SECOND, toMs: null }]);
    expect(stateOf(phone.at(60, { kind: 'meter-off' }).at(90, { kind: 'meter-on' })).meter).toHaveLength(2);
  });

  it('is given ahead in money: what is paid, and the paid steps that are left', () => {
    const drift = (of: RunPack, phone: Phone, seconds: number) =>
      runMoment(of, stateOf(phone, of), {
        nowMs: START + seconds * SECOND,
        now: { edges: [], latest: {} },
      }).drift?.moneyMinor;
    // Rinse 6 min and last rinse 4 min; 20 min by hand between them cost more than a second start: (300 + 4 × 50) + 300.
    expect(drift(pack(), begun(), 0)).toBe(300 + 4 * 50 + 300 - 650);
    // Where it can be paused, ten minutes in all are one start and twelve blocks.
    expect(drift(pack({ pausable: true }), begun(), 0)).toBe(300 + 12 * 50 - 650);
    const half = begun().at(0, { kind: 'begin', step: 'rinse-1' }, { kind: 'meter-on' });
    half.at(360, { kind: 'end', step: 'rinse-1' }, { kind: 'meter-off' });
    expect(drift(pack(), half, 360)).toBe(300 + 4 * 50 + 300 - 650);
    expect(drift(pack({ pausable: true }), half, 360)).toBe(300 + 12 * 50 - 650);
    expect(drift(pack({ tariff: null }), begun(), 0)).toBeNull();
  });
});

describe('acid and alkali on the car', () => {
  const acid = step('wheels', 3, {
    mix: mix('acid', 'wheel-cleaner', 2, 100),
    dwell: { minMinutes: 1, maxMinutes: 2 },
    groups: ['lower'],
  });
  const of = pack({ steps: [STEPS[0], acid, STEPS[1]] });
  const lying = begun().at(0, { kind: 'product-on', step: 'foam-0', part: '' });
  const clash = (phone: Phone) => {
    const state = stateOf(phone, of);
    const at = state.steps[1];
    return at ? acidNow(state, at) : null;
  };

  it('are reported where the one lies and the other is to come', () => {
    expect(clash(lying)).toMatchObject({ kind: 'acid-over-alkali' });
  });

  it('are no matter where nothing lies, where it was taken off, or where it was rinsed', () => {
    expect(clash(begun())).toBeNull();
    expect(
      clash(did(begun().at(0, { kind: 'product-on', step: 'foam-0', part: '' }), 'rinse-2', 60, 120)),
    ).toBeNull();
  });

  it('are not told twice where the sheet tells of it', () => {
    const told = { ...acid, faults: [{ kind: 'acid-over-alkali' }] };
    const state = stateOf(lying, pack({ steps: [STEPS[0], told, STEPS[1]] }));
    const at = state.steps[1];
    expect(at && acidNow(state, at)).toBeNull();
  });
});
