import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { MINUTE, packFor, Phone, SECOND, START, TARIFF } from '../testing/live.js';
import {
  checkedActions,
  closedRun,
  edgesNow,
  type EdgesNow,
  keyedSteps,
  lastTap,
  mergeActions,
  meterMoment,
  type RunAction,
  type RunDeed,
  runMoment,
  type RunPack,
  runState,
  standingActions,
  sunSide,
} from './index.js';

const PACK = packFor();
const KEYS = keyedSteps(PACK.sheet).map(({ key }) => key);
const keyOf = (id: string): string => KEYS.find((key) => key.startsWith(`${id}-`)) ?? `no ${id}`;

const begun = (): Phone => new Phone().at(0, { kind: 'start', packId: 'pack' });
const stateOf = (phone: Phone) => runState(PACK, mergeActions(phone.log));
const AS_MADE: EdgesNow = { edges: PACK.sheet.edges, latest: {} };
const momentAt = (phone: Phone, seconds: number, now = AS_MADE) =>
  runMoment(PACK, stateOf(phone), { nowMs: START + seconds * SECOND, now });

describe('the steps of a run', () => {
  it('go from waiting to done, and the pause is no work', () => {
    const wheels = keyOf('wheels');
    const phone = begun()
      .at(10, { kind: 'begin', step: wheels })
      .at(40, { kind: 'pause' })
      .at(100, { kind: 'resume' })
      .at(190, { kind: 'end', step: wheels });
    expect(momentAt(phone, 130).next?.key).toBe(keyOf('foam'));
    const half = new Phone();
    half.log.push(...phone.log.slice(0, 4));
    expect(momentAt(half, 130).stepSeconds).toBe(60);
    expect(stateOf(phone).steps[0]).toMatchObject({ key: wheels, state: 'done' });
  });

  it('are ended once: who comes second changes nothing', () => {
    const foam = keyOf('foam');
    const first = begun().at(5, { kind: 'begin', step: foam }).at(60, { kind: 'end', step: foam });
    const second = new Phone('b').at(75, { kind: 'end', step: foam });
    const both = runState(PACK, mergeActions(second.log, first.log));
    expect(both.steps.find(({ key }) => key === foam)?.span?.toMs).toBe(START + 60 * SECOND);
  });

  it('are skipped with a reason, and swapped only while they wait', () => {
    const phone = begun()
      .at(1, { kind: 'begin', step: keyOf('wheels') })
      .at(2, { kind: 'sooner', step: keyOf('rinse') })
      .at(3, { kind: 'sooner', step: keyOf('rinse') })
      .at(4, { kind: 'skip', step: keyOf('shuts'), reason: 'no-light' });
    const { steps } = stateOf(phone);
    expect(steps.slice(0, 3).map(({ step }) => step.id)).toEqual(['wheels', 'rinse', 'foam']);
    expect(steps.find(({ step }) => step.id === 'shuts')).toMatchObject({
      state: 'skipped',
      skipped: 'no-light',
    });
  });

  it('whose key is not on the sheet change nothing', () => {
    expect(stateOf(begun().at(1, { kind: 'begin', step: 'nowhere-9' })).steps).toEqual(
      stateOf(begun()).steps,
    );
  });
});

describe('undo', () => {
  const wheels = keyOf('wheels');
  it('takes back all of one tap, and can itself be taken back', () => {
    const phone = begun().at(5, { kind: 'begin', step: wheels }, { kind: 'meter-on' });
    const tap = lastTap(phone.log, 'a')?.tap ?? '';
    phone.at(8, { kind: 'undo', tap });
    expect(stateOf(phone)).toMatchObject({ meter: [] });
    expect(stateOf(phone).steps[0]?.state).toBe('waiting');
    phone.at(9, { kind: 'undo', tap: phone.log.at(-1)?.tap ?? '' });
    expect(stateOf(phone).meter).toHaveLength(1);
  });

  it('leaves the beginning of the run', () => {
    expect(lastTap(begun().log, 'a')).toBeNull();
  });

  it('takes back what this phone did, not what the other one did', () => {
    const phone = begun().at(5, { kind: 'begin', step: wheels });
    const other = new Phone('b').at(9, { kind: 'note', text: 'chip' });
    const merged = mergeActions(phone.log, other.log);
    expect(lastTap(merged, 'a')?.deed.kind).toBe('begin');
    expect(lastTap(merged, 'b')?.deed.kind).toBe('note');
    expect(lastTap(merged, 'c')).toBeNull();
  });

  it('of the close opens the run again', () => {
    const phone = begun().at(60, {
      kind: 'close',
      found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
      used: { paidMinor: null, foldedTowels: null, dryingTowels: null },
    });
    expect(stateOf(phone).phase).toBe('closed');
    phone.at(70, { kind: 'undo', tap: lastTap(phone.log, 'a')?.tap ?? '' });
    expect(stateOf(phone).phase).toBe('running');
  });
});

describe('dwell timers', () => {
  const foam = keyOf('foam');
  const on = (phone: Phone, seconds: number): Phone =>
    phone.at(seconds, { kind: 'begin', step: foam }, { kind: 'product-on', step: foam, part: '' });

  it('count to an earliest and a latest, each by its own start', () => {
    const phone = on(begun(), 100).at(160, { kind: 'product-on', step: foam, part: 'right side' });
    const latest = { [foam]: { minutes: 5, ends: 'freezes' as const } };
    const { dwells } = momentAt(phone, 220, { ...AS_MADE, latest });
    expect(dwells.map(({ seconds }) => seconds)).toEqual([120, 60]);
    const from = (PACK.sheet.steps.find(({ id }) => id === 'foam')?.dwell?.minMinutes ?? 0) * 60;
    expect(dwells[0]).toMatchObject({ earliestInSeconds: from - 120, latestInSeconds: 180, ends: 'freezes' });
  });

  it('run once for what two taps put on, from the first, and again once it was taken off', () => {
    const phone = on(on(begun(), 100), 101);
    const { dwells } = momentAt(phone, 160);
    expect(dwells.map(({ seconds }) => seconds)).toEqual([60]);
    phone.at(170, { kind: 'product-off', timer: dwells[0]?.timer.id ?? '' });
    phone.at(200, { kind: 'product-on', step: foam, part: '' });
    expect(momentAt(phone, 230).dwells.map(({ seconds }) => seconds)).toEqual([30]);
  });

  it('stay wet longer where another product was put over them, but lie no longer than their label', () => {
    const wheels = keyOf('wheels');
    const leftWith = (driesAfter: number) => {
      const latest = {
        [wheels]: { minutes: driesAfter, ends: 'dries' as const },
        [foam]: { minutes: 8, ends: 'label' as const },
      };
      const phone = begun().at(
        0,
        { kind: 'begin', step: wheels },
        { kind: 'product-on', step: wheels, part: '' },
      );
      const dwellsAt = (seconds: number) =>
        momentAt(phone, seconds, { ...AS_MADE, latest }).dwells.map(({ latestInSeconds, ends }) => [
          latestInSeconds,
          ends,
        ]);
      const alone = dwellsAt(100);
      on(phone, 100);
      return [...alone, ...dwellsAt(100)];
    };
    // The wheel cleaner dries after 2 min; under foam it stays wet, and its label's 4 min end it.
    expect(leftWith(2)).toEqual([
      [20, 'dries'],
      [140, 'label'],
      [480, 'label'],
    ]);
    // Where the label is the shorter from the beginning, nothing over it changes that.
    expect(leftWith(9)).toEqual([
      [140, 'label'],
      [140, 'label'],
      [480, 'label'],
    ]);
  });

  it('end with the rinse that goes over the same parts, not with one that does not', () => {
    const phone = on(begun(), 100)
      .at(150, { kind: 'end', step: foam })
      .at(160, { kind: 'begin', step: keyOf('arches') })
      .at(200, { kind: 'end', step: keyOf('arches') })
      .at(300, { kind: 'begin', step: keyOf('rinse') });
    expect(momentAt(phone, 310).dwells[0]?.isComingOff).toBe(true);
    phone.at(400, { kind: 'end', step: keyOf('rinse') });
    expect(momentAt(phone, 401).dwells).toEqual([]);
    expect(stateOf(phone).timers[0]?.offMs).toBe(START + 400 * SECOND);
  });

  it.each([
    { why: 'an hour in the background', zone: 'UTC', startMs: START },
    { why: 'over the change to summer time', zone: 'America/Toronto', startMs: Date.UTC(2026, 2, 8, 6, 30) },
  ])('are right after $why', ({ startMs }) => {
    const action = (count: number, deed: RunDeed): RunAction => ({
      id: `x${count}`,
      tap: `x${count}`,
      deviceId: 'x',
      count,
      atMs: startMs,
      deed,
    });
    const log = [
      action(0, { kind: 'start', packId: 'pack' }),
      action(1, { kind: 'product-on', step: foam, part: '' }),
    ];
    const at = { nowMs: startMs + 3600 * SECOND, now: AS_MADE };
    expect(runMoment(PACK, runState(PACK, log), at).dwells[0]?.seconds).toBe(3600);
  });
});

describe('the meter', () => {
  const span = (from: number, to: number | null) => ({
    fromMs: START + from * SECOND,
    toMs: to === null ? null : START + to * SECOND,
  });
  const at = (seconds: number) => ({ nowMs: START + seconds * SECOND, estimateMinor: 0 });

  it.each([
    { why: 'within the start price', seconds: 100, paid: 300, left: 140 },
    { why: 'to the second of its end', seconds: 240, paid: 300, left: 0 },
    { why: 'a second later: a block begun is a block paid', seconds: 241, paid: 350, left: 29 },
    { why: 'two blocks on', seconds: 290, paid: 400, left: 10 },
  ])('$why', ({ seconds, paid, left }) => {
    const shown = meterMoment(TARIFF, [span(0, null)], at(seconds));
    expect(shown.paidMinor).toBe(paid);
    expect(shown.leftSeconds).toBeCloseTo(left, 6);
  });

  it('pays the start again once it was stopped, and keeps its seconds where it can be paused', () => {
    const spans = [span(0, 100), span(200, 280)];
    expect(meterMoment(TARIFF, spans, at(300))).toMatchObject({ paidMinor: 600, leftSeconds: null });
    expect(meterMoment({ ...TARIFF, pausable: true }, spans, at(300))).toMatchObject({
      paidMinor: 300,
      leftSeconds: 60,
    });
  });
});

describe('the wet edge of a run', () => {
  const rinsed = (): Phone =>
    begun()
      .at(10, { kind: 'begin', step: keyOf('final-rinse') })
      .at(70, { kind: 'end', step: keyOf('final-rinse') });

  it('begins for every panel when the last rinse ends, soonest first', () => {
    const { edges } = momentAt(rinsed(), 100);
    expect(edges).toHaveLength(8);
    const lefts = edges.map(({ leftSeconds }) => leftSeconds ?? Infinity);
    expect(lefts).toEqual(lefts.toSorted((a, b) => a - b));
    const first = PACK.sheet.edges[0];
    expect(edges[0]).toMatchObject({ panel: first?.panel, leftSeconds: (first?.minutes ?? 0) * 60 - 30 });
  });

  it('is over for a wiped panel, and begins again where it is wetted again', () => {
    const phone = rinsed().at(80, { kind: 'wiped', panel: 'roof' });
    expect(momentAt(phone, 90).edges.map(({ panel }) => panel)).not.toContain('roof');
    phone.at(95, { kind: 'wet', panel: 'roof' });
    expect(stateOf(phone).wetSinceMs.get('roof')).toBe(START + 95 * SECOND);
  });

  it('is over for all with the towel', () => {
    const phone = rinsed()
      .at(80, { kind: 'begin', step: keyOf('towel') })
      .at(200, { kind: 'end', step: keyOf('towel') });
    expect(momentAt(phone, 201).edges).toEqual([]);
  });
});

describe('readings at the car', () => {
  const firstMinutes = (now: EdgesNow): number => now.edges[0]?.minutes ?? Infinity;
  const read = (of: 'air' | 'roof', tempC: number) => [{ of, tempC, atMs: START }] as const;

  it('without any leave the sheet as it was made', () => {
    expect(edgesNow(PACK, [], START + MINUTE).edges).toEqual(PACK.sheet.edges);
  });

  it.each([
    { why: 'colder air', readings: read('air', -12) },
    { why: 'a colder panel', readings: read('roof', -10) },
  ])('$why freezes it sooner', ({ readings }) => {
    const colder = edgesNow(PACK, readings, START);
    expect(firstMinutes(colder)).toBeLessThan(firstMinutes(edgesNow(PACK, [], START)));
    expect(colder.edges[0]?.ends).toBe('freezes');
  });

  it('move the latest end of a dwell with them', () => {
    const foam = keyOf('foam');
    const latest = (tempC: number) => edgesNow(PACK, read('air', tempC), START).latest[foam];
    expect(latest(-15)?.ends).toBe('freezes');
    expect(latest(-15)?.minutes ?? 0).toBeLessThan(latest(3)?.minutes ?? 0);
  });

  it('go by the last hour that is known, and by the sheet where none is', () => {
    expect(edgesNow(PACK, [], START + 5 * MS_PER_HOUR).edges).toHaveLength(8);
    expect(edgesNow({ ...PACK, hours: [null] }, read('air', -9), START).edges).toEqual(PACK.sheet.edges);
  });
});

describe('the side of the sun', () => {
  const sunAt = (azimuthDeg: number, beamNormalWm2 = 500, elevationDeg = 20): RunPack => {
    const [hour] = PACK.hours;
    if (!hour) throw new Error('no hour');
    const site = {
      ...hour.site,
      sun: { azimuthDeg, elevationDeg },
      light: { ...hour.site.light, beamNormalWm2 },
    };
    return { ...PACK, place: { ...PACK.place, carHeadingDeg: 90 }, hours: [{ ...hour, site }] };
  };
  it.each([
    { azimuthDeg: 90, side: 'front' },
    { azimuthDeg: 134, side: 'front' },
    { azimuthDeg: 136, side: 'right' },
    { azimuthDeg: 270, side: 'rear' },
    { azimuthDeg: 0, side: 'left' },
  ])('is $side with the nose to the east and the sun at $azimuthDeg°', ({ azimuthDeg, side }) => {
    expect(sunSide(sunAt(azimuthDeg), START)).toBe(side);
  });

  it('is none behind cloud, at night, or in an hour that nobody knows', () => {
    expect(sunSide(sunAt(90, 50), START)).toBeNull();
    expect(sunSide(sunAt(90, 500, -3), START)).toBeNull();
    expect(sunSide(sunAt(90), START + 3 * MS_PER_HOUR)).toBeNull();
  });
});

describe('the drift from the plan', () => {
  it('is none for a run that keeps to the sheet, and what a step took too long', () => {
    const arrival = PACK.method.setUpMinutes * 30;
    const wheels = keyOf('wheels');
    const phone = begun().at(arrival, { kind: 'begin', step: wheels });
    const step = PACK.sheet.steps[0];
    const onTime = arrival + (step?.minutes ?? 0) * 60;
    expect(momentAt(phone, onTime).drift?.minutes).toBeCloseTo(0, 6);
    expect(momentAt(phone, onTime + 180).drift?.minutes).toBeCloseTo(3, 6);
    expect(momentAt(phone, onTime).drift?.lightMinutes).toBeCloseTo(90 - PACK.sheet.minutes, 6);
  });

  it('in money is none while all goes as planned, with the meter off and on', () => {
    expect(momentAt(begun(), 0).drift?.moneyMinor).toBe(0);
    const phone = begun().at(0, { kind: 'begin', step: keyOf('rinse') }, { kind: 'meter-on' });
    for (const id of ['wheels', 'foam']) phone.at(0, { kind: 'skip', step: keyOf(id), reason: 'other' });
    expect(momentAt(phone, 100).drift?.moneyMinor).toBe(0);
  });

  it('in money is what the meter will have taken beyond the estimate', () => {
    const forgotten = begun().at(0, { kind: 'meter-on' });
    const late = momentAt(forgotten, 1200).drift?.moneyMinor ?? 0;
    expect(late).toBeGreaterThan(momentAt(forgotten, 60).drift?.moneyMinor ?? 0);
  });
});

const DEEDS: readonly RunDeed[] = [
  ...KEYS.flatMap((step): RunDeed[] => [
    { kind: 'begin', step },
    { kind: 'end', step },
    { kind: 'sooner', step },
  ]),
  { kind: 'pause' },
  { kind: 'resume' },
  { kind: 'meter-on' },
  { kind: 'meter-off' },
  { kind: 'wet', panel: 'roof' },
  { kind: 'wiped', panel: 'roof' },
  { kind: 'note', text: 'seen' },
  { kind: 'undo', tap: 'a1' },
];

it('two phones agree whatever reached them first, and nothing counts twice', () => {
  const entry = fc.record({
    device: fc.constantFrom('a', 'b'),
    seconds: fc.integer({ min: 0, max: 4000 }),
    deed: fc.constantFrom(...DEEDS),
    arrives: fc.integer(),
  });
  fc.assert(
    fc.property(fc.array(entry, { maxLength: 40 }), (entries) => {
      const phones = { a: begun(), b: new Phone('b') };
      const sent = entries.map(({ device, seconds, deed, arrives }) => {
        const phone = phones[device].at(seconds, deed);
        return { action: phone.log.at(-1)!, arrives };
      });
      const shuffled = sent.toSorted((x, y) => x.arrives - y.arrives).map(({ action }) => action);
      const one = mergeActions(phones.a.log, phones.b.log);
      const other = mergeActions(shuffled, phones.b.log, shuffled, phones.a.log);
      expect(other).toEqual(one);
      expect(one).toHaveLength(entries.length + 1);
      expect(runState(PACK, other)).toEqual(runState(PACK, one));
    }),
    { numRuns: 60 },
  );
});

describe('what the log keeps of a run', () => {
  const close: RunDeed = {
    kind: 'close',
    found: { icePanels: ['roof'], spots: 'few', leftovers: 'sills', note: '' },
    used: { paidMinor: null, foldedTowels: 3, dryingTowels: null },
  };

  it('is nothing before it is closed', () => {
    expect(closedRun(PACK, stateOf(begun()))).toBeNull();
  });

  it('is each step with its minutes, the meter and the money, and what was said of towels', () => {
    const rinse = keyOf('rinse');
    const phone = begun()
      .at(60, { kind: 'begin', step: rinse }, { kind: 'meter-on' })
      .at(300, { kind: 'end', step: rinse }, { kind: 'meter-off' })
      .at(310, { kind: 'skip', step: keyOf('shuts'), reason: 'no-time' })
      .at(1200, close)
      .at(1300, { kind: 'note', text: 'too late' });
    const closed = closedRun(PACK, stateOf(phone));
    const visit = PACK.sheet.preparation.money.visitMinor;
    expect(closed).toMatchObject({ startMs: START, minutes: 20, costMinor: visit + 300 });
    expect(closed?.record).toMatchObject({ waterMinutes: 4, meterMinor: 300, foldedTowels: 3, notes: [] });
    expect(closed?.record.steps.find(({ id }) => id === 'rinse')).toMatchObject({
      minutes: 4,
      skipped: null,
    });
    expect(closed?.record.steps.find(({ id }) => id === 'shuts')).toMatchObject({ skipped: 'no-time' });
  });

  it('takes the money that was said before the money that was worked out', () => {
    const phone = begun().at(600, { ...close, used: { ...close.used, paidMinor: 725 } });
    expect(closedRun(PACK, stateOf(phone))?.costMinor).toBe(725);
  });
});

describe('actions from a phone', () => {
  const [good] = begun().log;
  it('are taken as they are where they are whole', () => {
    expect(checkedActions([good])).toEqual([good]);
  });

  it.each([
    { why: 'no list', given: { a: 1 }, field: 'actions' },
    { why: 'a deed nobody knows', given: [{ ...good, deed: { kind: 'fly' } }], field: 'actions.0.deed.kind' },
    {
      why: 'a reading that no panel has',
      given: [{ ...good, deed: { kind: 'reading', of: 'air', tempC: 400, origin: 'typed' } }],
      field: 'actions.0.deed.tempC',
    },
    {
      why: 'an empty note',
      given: [good, { ...good, deed: { kind: 'note', text: '  ' } }],
      field: 'actions.1.deed.text',
    },
    { why: 'no instant', given: [{ ...good, atMs: 'soon' }], field: 'actions.0.atMs' },
  ])('are refused by name: $why', ({ given, field }) => {
    expect(() => checkedActions(given)).toThrow(expect.objectContaining({ field }));
  });
});

describe('the order of what was done', () => {
  const action = (id: string, atMs: number, change: Partial<RunAction> = {}): RunAction => ({
    id,
    tap: id,
    deviceId: 'a',
    count: 0,
    atMs,
    deed: { kind: 'note', text: id },
    ...change,
  });
  const idsOf = (actions: readonly RunAction[]): string[] => actions.map(({ id }) => id);

  it('follows the phone, also where its clock was set back', () => {
    const one = action('one', 1000, { count: 0 });
    const two = action('two', 200, { count: 1 });
    const other = action('other', 600, { deviceId: 'b' });
    expect(idsOf(mergeActions([two, other, one]))).toEqual(['other', 'one', 'two']);
  });

  it('has an undo behind what it takes back, whatever two clocks say', () => {
    const closing = action('closing', 5000);
    const undo = action('undo', 100, { deviceId: 'b', deed: { kind: 'undo', tap: 'closing' } });
    const again = action('again', 50, { deviceId: 'c', deed: { kind: 'undo', tap: 'undo' } });
    expect(idsOf(mergeActions([undo], [closing]))).toEqual(['closing', 'undo']);
    expect(standingActions(mergeActions([undo, closing]))).toEqual([]);
    expect(idsOf(standingActions(mergeActions([again, undo, closing])))).toEqual(['closing']);
  });

  it('goes by the clock between phones, then by their names', () => {
    const a = action('x', 10, { deviceId: 'b' });
    const b = action('y', 10, { deviceId: 'a' });
    expect(idsOf(mergeActions([a, b]))).toEqual(['y', 'x']);
  });
});
