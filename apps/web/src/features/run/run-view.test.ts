import { describe, expect, it } from '@jest/globals';
import type { RunPack, RunStep, WashRecord, WashStepId } from '@keen/core';
import { pairAtOnePlace, roundChoices } from './round-view.js';
import { countText, sheetBlocks } from './run-view.js';

const step = (id: WashStepId, change: Partial<RunStep> = {}): RunStep =>
  ({
    id,
    part: null,
    fromMinute: 0,
    minutes: 2,
    litres: 1,
    mix: null,
    dwell: null,
    stopsMeter: false,
    faults: [],
    ...change,
  }) as unknown as RunStep;
const mix = (productMl: number, waterMl: number, caps: number | null) =>
  ({ productMl, waterMl, caps, role: 'shampoo' }) as unknown as NonNullable<RunStep['mix']>;
const dwell = (maxMinutes: number) =>
  ({ minMinutes: 1, maxMinutes }) as unknown as NonNullable<RunStep['dwell']>;

describe('the steps of a sheet as they are read', () => {
  it('are each for itself on the whole car, and gathered where they go round', () => {
    const blocks = sheetBlocks([
      step('wheels'),
      step('rinse', { part: 'left-side', fromMinute: 2 }),
      step('towel', { part: 'left-side', fromMinute: 4, minutes: 3 }),
      step('rinse', { part: 'right-side', fromMinute: 7 }),
      step('towel', { part: 'right-side', fromMinute: 9, minutes: 3 }),
      step('shuts'),
    ]);
    expect(blocks.map(({ kind }) => kind)).toEqual(['step', 'round', 'step']);
    const [, round] = blocks;
    if (round?.kind !== 'round') throw new Error('no round');
    expect(round.parts).toEqual([
      { part: 'left-side', fromMinute: 2, minutes: 5 },
      { part: 'right-side', fromMinute: 7, minutes: 5 },
    ]);
    expect(round.steps.map(({ id, minutes, litres }) => [id, minutes, litres])).toEqual([
      ['rinse', 4, 2],
      ['towel', 6, 2],
    ]);
  });

  it('that go round at the end, or twice with a step between, are rounds of their own', () => {
    const part = { part: 'roof' } as const;
    expect(
      sheetBlocks([step('rinse', part), step('wheels'), step('towel', part)]).map(({ kind }) => kind),
    ).toEqual(['round', 'step', 'round']);
    expect(sheetBlocks([])).toEqual([]);
  });

  it('that go round by another section, or begin again with the first part, are a round of their own', () => {
    const on = (id: WashStepId, ...parts: NonNullable<RunStep['part']>[]): RunStep[] =>
      parts.map((part) => step(id, { part }));
    const blocks = sheetBlocks([
      ...on('foam', 'left-side', 'right-side'),
      ...on('rinse', 'top', 'nose'),
      ...on('towel', 'top', 'nose'),
    ]);
    expect(
      blocks.map((block) => (block.kind === 'round' ? block.parts.map(({ part }) => part).join(' ') : '')),
    ).toEqual(['left-side right-side', 'top nose', 'top nose']);
  });

  it('have in a round what goes on all parts together, the shortest dwell, and each fault once', () => {
    const cold = { kind: 'too-cold' } as unknown as RunStep['faults'][number];
    const strong = { kind: 'too-strong' } as unknown as RunStep['faults'][number];
    const [round] = sheetBlocks([
      step('foam', { part: 'roof', mix: mix(5, 95, 0.5), dwell: dwell(6), faults: [cold] }),
      step('foam', {
        part: 'boot',
        mix: mix(3, 57, 0.3),
        dwell: dwell(4),
        faults: [cold, strong],
        stopsMeter: true,
      }),
      step('foam', { part: 'rear', mix: mix(2, 38, null), dwell: dwell(9), faults: [] }),
    ]);
    if (round?.kind !== 'round') throw new Error('no round');
    expect(round.steps[0]).toMatchObject({
      mix: { productMl: 10, waterMl: 190, caps: null },
      dwell: { maxMinutes: 4 },
      stopsMeter: true,
      faults: [cold, strong],
    });
    const [caps] = sheetBlocks([
      step('foam', { part: 'roof', mix: mix(5, 95, 0.5) }),
      step('foam', { part: 'boot', mix: mix(3, 57, 0.3) }),
    ]);
    expect(caps?.kind === 'round' && caps.steps[0]?.mix?.caps).toBeCloseTo(0.8, 9);
    const [bare] = sheetBlocks([
      step('rinse', { part: 'roof' }),
      step('rinse', { part: 'boot', dwell: dwell(3) }),
    ]);
    expect(bare?.kind === 'round' && bare.steps[0]).toMatchObject({ mix: null, dwell: null });
  });

  it('count one thing, and several', () => {
    expect([countText(1, 'mitt'), countText(2, 'mitt'), countText(0, 'mitt')]).toEqual([
      '1 mitt',
      '2 mitts',
      '0 mitts',
    ]);
  });
});

describe('a round of washes', () => {
  const pack = (placeId: string, carsAtOnce: number): RunPack =>
    ({ place: { id: placeId, carsAtOnce } }) as RunPack;

  it('is of two cars side by side at one place that takes them', () => {
    const two = [pack('bay', 2), pack('bay', 2)];
    expect(pairAtOnePlace(two)).toEqual(two);
    expect(pairAtOnePlace([pack('bay', 1), pack('bay', 1)])).toBeNull();
    expect(pairAtOnePlace([pack('bay', 2), pack('unit', 2)])).toBeNull();
    expect(pairAtOnePlace([pack('bay', 2)])).toBeNull();
    expect(pairAtOnePlace([...two, pack('bay', 2)])).toBeNull();
    expect(pairAtOnePlace([])).toBeNull();
  });

  it('offers a wash until its last minute', () => {
    const wash = { id: 'w', status: 'planned', startMs: 0, minutes: 60 } as WashRecord;
    const format = { day: String, dayKey: () => 'day' };
    expect(roundChoices([wash], 60 * 60_000 - 1, format)).toHaveLength(1);
    expect(roundChoices([wash], 60 * 60_000, format)).toHaveLength(0);
  });
});
