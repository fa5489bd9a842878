import { describe, expect, it } from '@jest/globals';
import { type DwellMoment, type LiveStep, type RunPack, type RunState, SKIP_REASONS } from '@keen/core';
import { SKIP_NAMES } from '../../words/run-words.js';
import { closeDeed, closeDraft, closeErrors, nextBehaviour } from './close-form.js';
import { clockText } from '../../parts/clock-text.js';
import { alarmsBetween, mainTap, skipDeeds } from './live-view.js';
import { liveStep, METER, moment } from '../../testing/live.js';
import { keptSize, PhotoRefused, requirePhotoFile } from '../../parts/photo.js';
import { readingC } from './reading.js';
import { simulatedThermometer } from './thermometer.js';

const DWELL = { minMinutes: 3, maxMinutes: 8, cutBy: null, cutAs: null, isTooShort: false } as const;
const FOAM = liveStep('foam', { dwell: DWELL });
const RINSE = liveStep('rinse', { onMeter: true });
const dwell = (change: Partial<DwellMoment> = {}): DwellMoment => ({
  timer: { id: 't', step: FOAM.key, part: '', fromMs: 0, offMs: null },
  step: FOAM,
  seconds: 60,
  earliestInSeconds: 120,
  latestInSeconds: 400,
  ends: 'label',
  isComingOff: false,
  ...change,
});
const running = { phase: 'running', steps: [], meter: [] } as unknown as RunState;
const kinds = (tap: ReturnType<typeof mainTap>): string[] =>
  'deeds' in tap ? tap.deeds.map(({ kind }) => kind) : [];

describe('the large button', () => {
  it.each([
    { phase: 'not-begun', kind: 'start' },
    { phase: 'closed', kind: 'closed' },
    { phase: 'running', kind: 'close' },
  ] as const)('is $kind while the run is $phase and no step waits', ({ phase, kind }) => {
    expect(mainTap({ phase } as RunState, moment()).kind).toBe(kind);
  });

  it('begins a step with its dwell, and with the meter where it is off', () => {
    expect(kinds(mainTap(running, moment({ next: FOAM })))).toEqual(['begin', 'product-on']);
    const off = moment({ next: RINSE, meter: { ...METER, isOn: false } });
    expect(kinds(mainTap(running, off))).toEqual(['begin', 'meter-on']);
    expect(kinds(mainTap(running, moment({ next: RINSE, meter: METER })))).toEqual(['begin']);
  });

  it('ends a step and begins the next with one tap', () => {
    const tap = mainTap(running, moment({ current: liveStep('wheels'), next: FOAM }));
    expect(kinds(tap)).toEqual(['end', 'begin', 'product-on']);
  });

  it('does not begin what costs money, or takes off what has not worked', () => {
    const costs = moment({ current: FOAM, next: RINSE, meter: { ...METER, isOn: false } });
    expect(kinds(mainTap(running, costs))).toEqual(['end']);
    const early = moment({ current: liveStep('arches'), next: RINSE, meter: METER, dwells: [dwell()] });
    expect(kinds(mainTap(running, early))).toEqual(['end']);
    const worked = { ...early, dwells: [dwell({ earliestInSeconds: -1 })] };
    expect(kinds(mainTap(running, worked))).toEqual(['end', 'begin']);
  });

  it('stops the meter where the sheet says so, and says what is taken off too soon', () => {
    const stops: LiveStep = {
      ...liveStep('rinse', { onMeter: true, stopsMeter: true }),
      state: 'running',
      meterRun: 0,
    };
    const under = { ...running, steps: [stops], meter: [{ fromMs: 0, toMs: null }] } as unknown as RunState;
    const tap = mainTap(under, moment({ current: stops, next: liveStep('towel'), meter: METER }));
    expect(kinds(tap)).toEqual(['end', 'meter-off', 'begin']);
    expect(skipDeeds(under, stops, 'no-time').map(({ kind }) => kind)).toEqual(['skip', 'meter-off']);
    const soon = mainTap(running, moment({ next: RINSE, meter: METER, dwells: [dwell()] }));
    expect('tooSoon' in soon && soon.tooSoon).toHaveLength(1);
  });
});

it.each([
  { seconds: 0, text: '0:00' },
  { seconds: 0.4, text: '0:01' },
  { seconds: 59.2, text: '1:00' },
  { seconds: 185, text: '3:05' },
  { seconds: 3723, text: '1:02:03' },
  { seconds: -12.4, text: '−0:12' },
  { seconds: -0.3, text: '0:00' },
])('$seconds s reads $text', ({ seconds, text }) => {
  expect(clockText(seconds)).toBe(text);
});

describe('what sounds', () => {
  const at = (change: Partial<DwellMoment>) => moment({ dwells: [dwell(change)] });

  it.each([
    {
      why: 'it has worked',
      before: { earliestInSeconds: 1 },
      now: { earliestInSeconds: 0 },
      alarm: 'worked',
    },
    {
      why: 'a minute is left',
      before: { latestInSeconds: 61 },
      now: { latestInSeconds: 59 },
      alarm: 'dries-soon',
    },
    { why: 'it is over', before: { latestInSeconds: 0.2 }, now: { latestInSeconds: -0.3 }, alarm: 'over' },
  ])('once when $why', ({ before, now, alarm }) => {
    expect(alarmsBetween(at(before), at(now))).toEqual([alarm]);
    expect(alarmsBetween(at(now), at(now))).toEqual([]);
  });

  it('is nothing for what is coming off, or was not there before', () => {
    expect(alarmsBetween(at({ latestInSeconds: 1 }), at({ latestInSeconds: 0, isComingOff: true }))).toEqual(
      [],
    );
    expect(alarmsBetween(moment(), at({ latestInSeconds: 0 }))).toEqual([]);
    expect(alarmsBetween(null, at({ latestInSeconds: 0 }))).toEqual([]);
  });

  it('is the meter when it runs low, and a panel when a minute is left', () => {
    const meter = (leftSeconds: number) => moment({ meter: { ...METER, leftSeconds } });
    expect(alarmsBetween(meter(21), meter(19))).toEqual(['meter-low']);
    const wet = (leftSeconds: number) =>
      moment({ edges: [{ panel: 'roof', leftSeconds, share: 0.2, ends: 'freezes' }] });
    expect(alarmsBetween(wet(61), wet(60))).toEqual(['wipe-soon']);
  });
});

describe('the close', () => {
  const pack = {
    washId: 'w',
    sheet: {
      preparation: {
        money: { visitMinor: 200, meterMinor: 900 },
        media: { foldedTowels: 2, dryingTowels: 1 },
      },
    },
  } as unknown as RunPack;
  const state = (is: LiveStep['state']) => ({ steps: [{ ...FOAM, state: is }] }) as unknown as RunState;
  const extras = ['top-up'] as const;
  const draft = closeDraft(pack, state('done'), { moment: moment({ meter: METER }), extras });

  it('is filled in with what is likely', () => {
    expect(draft).toMatchObject({ spots: 'none', paid: 5, foldedTowels: 2, dryingTowels: 1 });
    expect(closeErrors(draft)).toEqual({});
    expect(closeDeed(draft)).toMatchObject({
      found: { icePanels: [], spots: 'none' },
      used: { paidMinor: 500, foldedTowels: 2, dryingTowels: 1 },
      extras: ['top-up'],
    });
  });

  it('is filled in with nothing where nothing was done', () => {
    const idle = closeDraft(pack, state('waiting'), { moment: moment({}), extras });
    expect(closeDeed(idle)).toMatchObject({
      used: { paidMinor: 0, foldedTowels: 0, dryingTowels: 0 },
      extras: [],
    });
  });

  it.each([
    { paid: '', minor: null, why: 'not said' },
    { paid: '7,25', minor: 725, why: 'a comma' },
    { paid: 12_000, minor: 1_200_000, why: 'a currency without cents' },
  ])('takes $paid as $minor: $why', ({ paid, minor }) => {
    const deed = closeDeed({ ...draft, paid });
    expect(deed).toMatchObject({ used: { paidMinor: minor } });
  });

  it.each([
    { change: { paid: -1 }, field: 'paid' },
    { change: { paid: 'a lot' }, field: 'paid' },
    { change: { foldedTowels: 1.5 }, field: 'foldedTowels' },
    { change: { dryingTowels: 900 }, field: 'dryingTowels' },
  ])('names the fault of $field', ({ change, field }) => {
    expect(Object.keys(closeErrors({ ...draft, ...change }))).toEqual([field]);
  });

  it('goes round what water does on a panel with each tap', () => {
    let seen = draft.behaviour;
    const told = Array.from({ length: 4 }, () => (seen = nextBehaviour(seen, 'roof')).roof ?? null);
    expect(told).toEqual(['beading', 'sheeting', 'flat', null]);
  });
});

describe('readings and pictures', () => {
  it.each([
    { typed: '-6,5', unit: 'C', tempC: -6.5 },
    { typed: '−6.5', unit: 'C', tempC: -6.5 },
    { typed: '-', unit: 'C', tempC: null },
    { typed: '-6.5', unit: 'C', tempC: -6.5 },
    { typed: 20.3, unit: 'F', tempC: -6.5 },
    { typed: '', unit: 'C', tempC: null },
    { typed: 400, unit: 'C', tempC: null },
  ] as const)('$typed °$unit is $tempC °C', ({ typed, unit, tempC }) => {
    expect(readingC(typed, unit)).toBe(tempC);
  });

  it('come from the stand-in near the forecast, and are refused where there is none', async () => {
    const hours = [{ site: { air: { airTempC: -4 } } }];
    const of = { fromMs: 0, hours, vehicle: { bodyClass: 'saloon' } } as unknown as RunPack;
    const read = await simulatedThermometer(of, () => 60_000).read('roof');
    expect(Math.abs(read + 4)).toBeLessThan(3);
    const blind = { ...of, hours: [null] } as unknown as RunPack;
    await expect(simulatedThermometer(blind, () => 0).read('air')).rejects.toThrow('no reading');
  });

  it('are refused by size and by kind, with a way on', () => {
    expect(() => requirePhotoFile({ size: 80_000_000, type: 'image/jpeg' })).toThrow(/80 MB.*smaller/);
    expect(() => requirePhotoFile({ size: 10, type: 'text/plain' })).toThrow(PhotoRefused);
    expect(() => requirePhotoFile({ size: 40_000_000, type: 'image/jpeg' })).not.toThrow();
  });

  it('are kept at a size that a phone can send', () => {
    expect(keptSize(4000, 3000)).toEqual({ width: 1600, height: 1200 });
    expect(keptSize(800, 600)).toEqual({ width: 800, height: 600 });
  });
});

it('there is a word for each reason to skip', () => {
  expect(Object.keys(SKIP_NAMES).sort()).toEqual([...SKIP_REASONS].sort());
});
