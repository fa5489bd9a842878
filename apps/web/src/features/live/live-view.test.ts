import { describe, expect, it } from '@jest/globals';
import type { DwellMoment, LiveStep, RunAction, RunDeed, RunState, WashStepId } from '@keen/core';
import { liveStep, METER, moment } from '../../testing/live.js';
import { alarmsBetween, isDrying, mainTap, phaseOf, skipDeeds, wetsBySection } from './live-view.js';

const running = { phase: 'running', steps: [], meter: [] } as unknown as RunState;
const action = (deed: RunDeed, id: string): RunAction => ({
  id,
  tap: id,
  deviceId: 'phone',
  count: Number(id),
  atMs: Number(id),
  deed,
});

describe('what kind of step it is', () => {
  const ids: WashStepId[] = [
    'rinse',
    'foam',
    'contact',
    'rinseless',
    'spray-wipe',
    'strip',
    'seal',
    'blow',
    'towel',
  ];
  it('wets section by section, or takes water off', () => {
    expect(ids.filter((id) => wetsBySection(liveStep(id)))).toEqual([
      'rinseless',
      'spray-wipe',
      'strip',
      'seal',
    ]);
    expect(ids.filter((id) => isDrying(liveStep(id)))).toEqual(['rinseless', 'spray-wipe', 'blow', 'towel']);
    expect([wetsBySection(null), isDrying(null)]).toEqual([false, false]);
  });
});

describe('how far a run is', () => {
  const start = action({ kind: 'start', packId: 'p' }, '1');
  const close = action({ kind: 'close' } as RunDeed, '2');

  it('is described by its deeds, those that were taken back left out', () => {
    expect(phaseOf([])).toBe('not-begun');
    expect(phaseOf([start])).toBe('running');
    expect(phaseOf([start, close])).toBe('closed');
    expect(phaseOf([start, close, action({ kind: 'undo', tap: '2' }, '3')])).toBe('running');
    expect(phaseOf([start, action({ kind: 'undo', tap: '1' }, '3')])).toBe('not-begun');
  });
});

describe('a step that is left out', () => {
  it('stops no meter that stands, and says why it is left out', () => {
    const step = liveStep('arches', { onMeter: true });
    expect(skipDeeds(running, step, 'no-time')).toEqual([
      { kind: 'skip', step: step.key, reason: 'no-time' },
    ]);
  });
});

describe('the large button at the edge of the meter', () => {
  const paid = (id: WashStepId, meterRun: number, stopsMeter = false): LiveStep => ({
    ...liveStep(id, { onMeter: true, stopsMeter }),
    state: 'running',
    meterRun,
  });

  it('does not begin a paid step with the tap that stops the meter', () => {
    const [rinse, last] = [paid('rinse', 0, true), { ...paid('final-rinse', 1), state: 'waiting' as const }];
    const state = {
      ...running,
      steps: [rinse, last],
      meter: [{ fromMs: 0, toMs: null }],
    } as unknown as RunState;
    const tap = mainTap(state, moment({ current: rinse, next: last, meter: METER }));
    expect('deeds' in tap && tap.deeds.map(({ kind }) => kind)).toEqual(['end', 'meter-off']);
    expect(tap).toMatchObject({ kind: 'done', then: null });
  });

  it('goes on at once within one paid run', () => {
    const [rinse, arches] = [paid('rinse', 0), { ...paid('arches', 0), state: 'waiting' as const }];
    const state = {
      ...running,
      steps: [rinse, arches],
      meter: [{ fromMs: 0, toMs: null }],
    } as unknown as RunState;
    const tap = mainTap(state, moment({ current: rinse, next: arches, meter: METER }));
    expect('deeds' in tap && tap.deeds.map(({ kind }) => kind)).toEqual(['end', 'begin']);
  });

  it('ends the last step, and closes when none is left', () => {
    expect(mainTap(running, moment({ current: liveStep('towel') }))).toMatchObject({
      kind: 'done',
      then: null,
    });
    expect(mainTap(running, moment({ next: liveStep('towel') }))).toMatchObject({
      kind: 'begin',
      then: null,
    });
  });
});

describe('what sounds, at its limits', () => {
  const dwell = (change: Partial<DwellMoment>, id = 't'): DwellMoment =>
    ({
      timer: { id },
      step: liveStep('foam'),
      seconds: 60,
      earliestInSeconds: 120,
      latestInSeconds: 400,
      ends: 'label',
      isComingOff: false,
      ...change,
    }) as DwellMoment;
  const between = (before: Partial<DwellMoment>, now: Partial<DwellMoment>) =>
    alarmsBetween(moment({ dwells: [dwell(before)] }), moment({ dwells: [dwell(now)] }));

  it.each<[string, Partial<DwellMoment>, Partial<DwellMoment>, string[]]>([
    ['at a minute left', { latestInSeconds: 60.1 }, { latestInSeconds: 60 }, ['dries-soon']],
    ['not again within it', { latestInSeconds: 60 }, { latestInSeconds: 59 }, []],
    ['not before it', { latestInSeconds: 62 }, { latestInSeconds: 60.1 }, []],
    ['when it is over', { latestInSeconds: 0.1 }, { latestInSeconds: 0 }, ['over']],
    ['both after a long look away', { latestInSeconds: 90 }, { latestInSeconds: -5 }, ['dries-soon', 'over']],
    ['when it has worked', { earliestInSeconds: 0.1 }, { earliestInSeconds: 0 }, ['worked']],
    [
      'never where nothing ends it',
      { latestInSeconds: 5 },
      { latestInSeconds: null as unknown as number },
      [],
    ],
  ])('%s', (_why, before, now, alarms) => {
    expect(between(before, now)).toEqual(alarms);
  });

  it('is given for each timer by its own, and once for all', () => {
    const then = moment({
      dwells: [dwell({ latestInSeconds: 61 }, 'a'), dwell({ latestInSeconds: 61 }, 'b')],
    });
    const now = moment({
      dwells: [dwell({ latestInSeconds: 60 }, 'a'), dwell({ latestInSeconds: 59 }, 'b')],
    });
    expect(alarmsBetween(then, now)).toEqual(['dries-soon']);
    const others = moment({ dwells: [dwell({ latestInSeconds: 59 }, 'c')] });
    expect(alarmsBetween(then, others)).toEqual([]);
  });

  it.each([
    { from: 20.1, to: 20, alarms: ['meter-low'] },
    { from: 20, to: 19, alarms: [] },
    { from: 22, to: 20.1, alarms: [] },
  ])('the meter from $from s to $to s: $alarms', ({ from, to, alarms }) => {
    const meter = (leftSeconds: number, isOn = true) => moment({ meter: { ...METER, leftSeconds, isOn } });
    expect(alarmsBetween(meter(from), meter(to))).toEqual(alarms);
    expect(alarmsBetween(meter(from, false), meter(to))).toEqual([]);
    expect(alarmsBetween(meter(from), meter(to, false))).toEqual([]);
    expect(alarmsBetween(moment(), meter(to))).toEqual([]);
  });

  it('a panel is given by itself', () => {
    const wet = (...left: [string, number][]) =>
      moment({
        edges: left.map(([panel, leftSeconds]) => ({
          panel,
          leftSeconds,
          share: 0.2,
          ends: 'freezes',
        })) as never,
      });
    expect(alarmsBetween(wet(['roof', 61], ['left', 50]), wet(['roof', 60], ['left', 49]))).toEqual([
      'wipe-soon',
    ]);
    expect(alarmsBetween(wet(['left', 61]), wet(['roof', 60]))).toEqual([]);
  });
});
