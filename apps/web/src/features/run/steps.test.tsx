import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type RunSheet, type RunStep, type WashRecord } from '@keen/core';
import { screen, within } from '@testing-library/react';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Steps } from './steps.js';

const step = (change: Partial<RunStep>): RunStep => ({
  id: 'rinse',
  groups: ['upper'],
  part: null,
  direction: null,
  fromMinute: 0,
  minutes: 4,
  litres: 36,
  onMeter: false,
  stopsMeter: false,
  dwell: null,
  mix: null,
  note: '',
  faults: [],
  reason: 'loose-dirt-before-touch',
  cautions: [],
  ...change,
});
const WASH = {
  startMs: Date.UTC(2026, 0, 14, 12),
  minutes: 40,
  extras: ['underbody'],
} as unknown as WashRecord;

const shown = async (steps: RunStep[]): Promise<HTMLElement[]> => {
  madeUpServer(() => ({ body: { display: DEFAULT_DISPLAY, timeZone: 'UTC' } }));
  show(<Steps sheet={{ steps, minutes: 40 } as unknown as RunSheet} wash={WASH} bodyClass="hatch" />);
  return screen.findAllByRole('listitem');
};

describe('the steps of a sheet', () => {
  it('tell work of the season where it stands, on the meter, and nothing of it twice', async () => {
    const items = await shown([
      step({
        id: 'underbody-flush',
        jobId: 'underbody',
        groups: ['under'],
        minutes: 15,
        litres: 90,
        onMeter: true,
      }),
      step({ fromMinute: 15 }),
    ]);
    expect(items).toHaveLength(2);
    const [flush, rinse] = items;
    expect(flush?.textContent).toMatch(/Flush the underbody.*15 min.*on the meter.*seasonal job: underbody/);
    expect(rinse?.textContent).not.toContain('season');
  });

  it('give each its time, and those that go round part by part their times together', async () => {
    const parts = (['left-side', 'right-side'] as const).map((part, i) =>
      step({ id: 'contact', part, fromMinute: 10 + 8 * i, minutes: 8 }),
    );
    const [first, round] = await shown([step({}), ...parts]);
    expect(within(first as HTMLElement).getByText(/12:00/)).toBeTruthy();
    expect(round?.textContent).toMatch(/Part by part:.*12:10.*12:18/);
    expect(round?.textContent).toMatch(/16 min altogether/);
  });
});
