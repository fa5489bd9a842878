import { describe, expect, it } from '@jest/globals';
import type { EdgeMoment, RunDeed, RunPack, RunState } from '@keen/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { moment } from '../../testing/live.js';
import { show } from '../../testing/show.js';
import { EdgePlan } from './edge-plan.js';

const PACK = {
  vehicle: { bodyClass: 'saloon' },
  place: { shelter: { kind: 'indoors' } },
  hours: [],
  fromMs: 0,
} as unknown as RunPack;
const STATE = { wiped: new Set(['bonnet']), readings: [] } as unknown as RunState;
const edge = (panel: EdgeMoment['panel'], leftSeconds: number | null): EdgeMoment => ({
  panel,
  leftSeconds,
  share: 0.5,
  ends: leftSeconds === null ? 'lasts' : 'freezes',
});

const plan = (edges: readonly EdgeMoment[], state = STATE, nowMs = 0): RunDeed[] => {
  const deeds: RunDeed[] = [];
  show(
    <EdgePlan
      pack={PACK}
      state={state}
      moment={moment({ edges })}
      nowMs={nowMs}
      mayWet
      isDrying
      act={(...done) => deeds.push(...done)}
    />,
  );
  return deeds;
};
const panel = (name: RegExp) => screen.getByRole('button', { name });

describe('the wet edge', () => {
  it('hatches what is due within the minute, and frames what is wiped next', () => {
    plan([edge('roof', 45), edge('left', 61), edge('rear', null)]);
    expect(panel(/^roof/).dataset).toMatchObject({ urgent: 'true', first: 'true', ends: 'freezes' });
    expect(panel(/^left flank/).dataset['urgent']).toBeUndefined();
    expect(panel(/^rear/).dataset).toMatchObject({ state: 'wet', ends: 'lasts' });
    expect(panel(/^rear/).dataset['urgent']).toBeUndefined();
    expect(panel(/^bonnet/).dataset['state']).toBe('wiped');
  });

  it.each([
    { nowMs: 20_000, text: 'Air −5.0 °C, just measured' },
    { nowMs: 6 * 60_000, text: 'Air −5.0 °C, measured 6.0 min ago' },
  ])('says how old a reading is: $text', ({ nowMs, text }) => {
    const readings = [{ of: 'air', tempC: -5, atMs: 0 }];
    plan([edge('roof', 45)], { ...STATE, readings } as unknown as RunState, nowMs);
    expect(screen.getByText(text)).toBeTruthy();
  });

  it('takes a tap for wiped where it is wet, and for wetted where it is not', async () => {
    const deeds = plan([edge('roof', 45)]);
    await userEvent.click(panel(/^roof/));
    await userEvent.click(panel(/^bonnet/));
    expect(deeds).toEqual([
      { kind: 'wiped', panel: 'roof' },
      { kind: 'wet', panel: 'bonnet' },
    ]);
  });
});
