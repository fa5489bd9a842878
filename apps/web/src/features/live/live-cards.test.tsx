import { afterEach, describe, expect, it, jest } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  type DwellMoment,
  type LiveStep,
  type RunDeed,
  type RunMoment,
  type RunPack,
  type RunState,
  type WashRecord,
  MS_PER_MINUTE,
} from '@keen/core';
import { QueryClient } from '@tanstack/react-query';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { liveStep, METER, moment } from '../../testing/live.js';
import { show } from '../../testing/show.js';
import { CloseSheet } from './close-sheet.js';
import { DwellCards } from './dwell-cards.js';
import { mainTap } from './live-view.js';
import { MeterCard } from './meter-card.js';
import { StepCard } from './step-card.js';

const NOW = Date.parse('2026-01-14T09:00:00-05:00');

const state = (change: object = {}): RunState =>
  ({
    phase: 'running',
    startedMs: NOW - 40 * MS_PER_MINUTE,
    pauses: [],
    steps: [],
    timers: [],
    meter: [],
    ...change,
  }) as unknown as RunState;

const PACK = {
  washId: 'wash-1',
  vehicle: { bodyClass: 'saloon' },
  method: { leavesBare: false },
  sheet: {
    minutes: 60,
    preparation: { money: { visitMinor: 200 }, media: { foldedTowels: 4, dryingTowels: 2 } },
  },
} as unknown as RunPack;

const WASH = { id: 'wash-1', extras: ['underbody'] } as unknown as WashRecord;

function open(view: ReactNode) {
  const client = new QueryClient();
  client.setQueryData(['settings'], { display: DEFAULT_DISPLAY, timeZone: 'America/Toronto' });
  return show(view, client);
}

afterEach(() => localStorage.clear());

describe('closing a run', () => {
  const done = liveStep('rinse', {}, { state: 'done' });
  const sheet = (over: {
    moment?: RunMoment;
    state?: RunState;
    wash?: WashRecord;
    act?: (deed: RunDeed) => void;
  }) => (
    <CloseSheet
      pack={PACK}
      state={over.state ?? state({ steps: [done] })}
      moment={over.moment ?? moment({ meter: METER })}
      wash={over.wash ?? WASH}
      nowMs={NOW}
      act={(deed) => over.act?.(deed)}
      onClose={() => undefined}
    />
  );
  const paid = () => screen.getByLabelText<HTMLInputElement>(/^Paid/).value;
  const closes = async (deeds: RunDeed[]): Promise<Extract<RunDeed, { kind: 'close' }>> => {
    await userEvent.click(screen.getByRole('button', { name: 'Close the run' }));
    const [deed] = deeds;
    if (deed?.kind !== 'close') throw new Error('not closed');
    return deed;
  };

  it('what was paid follows the meter until somebody types it, whatever else was touched', async () => {
    const view = open(sheet({}));
    expect(paid()).toBe('5');
    await userEvent.click(screen.getByRole('button', { name: 'A few spots' }));
    view.unmount();
    const later = open(sheet({ moment: moment({ meter: { ...METER, paidMinor: 450 } }) }));
    expect(paid()).toBe('6.5');
    await userEvent.clear(screen.getByLabelText(/^Paid/));
    await userEvent.type(screen.getByLabelText(/^Paid/), '7.25');
    later.unmount();
    const deeds: RunDeed[] = [];
    open(sheet({ moment: moment({ meter: { ...METER, paidMinor: 900 } }), act: (deed) => deeds.push(deed) }));
    expect(paid()).toBe('7.25');
    const { used, found } = await closes(deeds);
    expect(used).toEqual({ paidMinor: 725, foldedTowels: 4, dryingTowels: 2 });
    expect(found.spots).toBe('few');
  });

  it('says when it is much shorter than its sheet, and not when it is not', () => {
    const view = open(sheet({ state: state({ startedMs: NOW - 14 * MS_PER_MINUTE, steps: [done] }) }));
    expect(screen.getByRole('alert').textContent).toContain('Steps that were not tapped count as not done.');
    view.unmount();
    open(sheet({ state: state({ startedMs: NOW - 15 * MS_PER_MINUTE, steps: [done] }) }));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('says that steps still wait', () => {
    open(sheet({ moment: moment({ next: liveStep('rinse') }) }));
    expect(screen.getByText(/Not all steps are done/)).toBeTruthy();
  });

  it('of a run in which nothing was done nothing was paid, used or done', async () => {
    const deeds: RunDeed[] = [];
    open(
      sheet({
        state: state({ steps: [liveStep('rinse')] }),
        moment: moment(),
        act: (deed) => deeds.push(deed),
      }),
    );
    expect(await closes(deeds)).toMatchObject({
      used: { paidMinor: 0, foldedTowels: 0, dryingTowels: 0 },
      extras: [],
    });
  });

  it('asks which work of the season was done, of what was planned', async () => {
    const deeds: RunDeed[] = [];
    open(sheet({ act: (deed) => deeds.push(deed) }));
    const group = screen.getByRole('group', { name: 'Season work that was done' });
    const [button] = within(group).getAllByRole('button');
    if (!button) throw new Error('no work to tick');
    expect(button.getAttribute('aria-pressed')).toBe('true');
    await userEvent.click(button);
    expect((await closes(deeds)).extras).toEqual([]);
  });

  it('has nothing of the season to ask where nothing was planned', () => {
    open(sheet({ wash: { ...WASH, extras: [] } }));
    expect(screen.queryByText('Season work that was done')).toBeNull();
  });

  it('keeps where water froze and what it does now, panel by panel', async () => {
    const deeds: RunDeed[] = [];
    open(sheet({ act: (deed) => deeds.push(deed) }));
    const ice = screen.getByRole('group', { name: 'Where water froze' });
    await userEvent.click(within(ice).getByRole('button', { name: 'roof' }));
    await userEvent.click(within(ice).getByRole('button', { name: 'bonnet' }));
    await userEvent.click(within(ice).getByRole('button', { name: 'bonnet' }));
    const water = screen.getByRole('group', { name: 'What water does now' });
    await userEvent.click(within(water).getByRole('button', { name: /^roof/ }));
    await userEvent.click(within(water).getByRole('button', { name: /^roof/ }));
    await userEvent.type(screen.getByLabelText('Note'), ' Cold hands. ');
    const { found } = await closes(deeds);
    expect(found).toEqual({
      icePanels: ['roof'],
      spots: 'none',
      leftovers: '',
      note: 'Cold hands.',
      behaviour: { roof: 'sheeting' },
    });
  });

  it.each([
    { typed: '-1', says: 'Between 0 and 1 000 000.' },
    { typed: '1000001', says: 'Between 0 and 1 000 000.' },
  ])('refuses $typed paid at its field, and nothing is lost', async ({ typed, says }) => {
    const deeds: RunDeed[] = [];
    open(sheet({ act: (deed) => deeds.push(deed) }));
    await userEvent.clear(screen.getByLabelText(/^Paid/));
    await userEvent.type(screen.getByLabelText(/^Paid/), typed);
    await userEvent.click(screen.getByRole('button', { name: 'Close the run' }));
    expect(paid()).toBe(typed);
    expect(screen.getByText(says)).toBeTruthy();
    expect(deeds).toEqual([]);
  });
});

describe('the meter', () => {
  it('tells what is left, what comes next and what was paid, and stops at a tap', async () => {
    const act = jest.fn();
    open(<MeterCard moment={moment({ meter: METER })} act={act} />);
    const card = screen.getByRole('region', { name: 'Meter' });
    expect(card.textContent).toContain('1:40');
    expect(card.textContent).toMatch(/paid, then .*0\.50 more/);
    expect(card.textContent).toMatch(/3\.00 paid of .*6\.00 estimated/);
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(act).toHaveBeenCalledWith({ kind: 'meter-off' });
  });

  it('that is off tells what starting costs', async () => {
    const act = jest.fn();
    open(
      <MeterCard
        moment={moment({ meter: { ...METER, isOn: false, leftSeconds: null, nextMinor: 300 } })}
        act={act}
      />,
    );
    expect(screen.getByRole('region', { name: 'Meter' }).textContent).toMatch(/starting costs .*3\.00/);
    await userEvent.click(screen.getByRole('button', { name: 'Start' }));
    expect(act).toHaveBeenCalledWith({ kind: 'meter-on' });
  });

  it('is not there where the place has none', () => {
    open(<MeterCard moment={moment()} act={() => undefined} />);
    expect(screen.queryByRole('region', { name: 'Meter' })).toBeNull();
  });
});

describe('what lies on the car', () => {
  const FOAM = liveStep('foam', { groups: ['upper'] });
  const dwell = (change: Partial<DwellMoment>): DwellMoment => ({
    timer: { id: 't', step: FOAM.key, part: '', fromMs: 0, offMs: null },
    step: FOAM,
    seconds: 60,
    earliestInSeconds: 120,
    latestInSeconds: 400,
    ends: 'label',
    isComingOff: false,
    ...change,
  });
  const cardOf = (change: Partial<DwellMoment>, act: (deed: RunDeed) => void = () => undefined) => {
    open(<DwellCards moment={moment({ dwells: [dwell(change)] })} act={(deed) => act(deed)} />);
    return screen.getByRole('region', { name: /^Dwell: / });
  };

  it.each([
    { change: {}, state: 'working', says: 'may come off in 2:00' },
    { change: { earliestInSeconds: 1 }, state: 'working', says: 'may come off in 0:01' },
    { change: { earliestInSeconds: 0 }, state: 'worked', says: 'has worked; longest over in' },
    {
      change: { earliestInSeconds: 0, ends: 'dries' as const },
      state: 'worked',
      says: 'has worked; dries on in',
    },
    {
      change: { earliestInSeconds: 0, ends: 'freezes' as const },
      state: 'worked',
      says: 'has worked; freezes on in',
    },
    {
      change: { earliestInSeconds: -300, latestInSeconds: 0 },
      state: 'over',
      says: 'has lain too long: take it off',
    },
    {
      change: { earliestInSeconds: -300, latestInSeconds: -1, ends: 'dries' as const },
      state: 'over',
      says: 'dries on: wet it again, then take it off',
    },
    { change: { isComingOff: true }, state: 'off', says: 'coming off now' },
  ])('$state: $says', ({ change, state: expected, says }) => {
    const card = cardOf(change);
    expect(card.textContent).toContain(says);
    expect(card.getAttribute('data-state')).toBe(expected);
  });

  it('counts down to when it must come off, and never below nothing', () => {
    expect(cardOf({ latestInSeconds: 400 }).textContent).toContain('6:40');
  });

  it('is off at a tap, by its own timer', async () => {
    const deeds: RunDeed[] = [];
    cardOf({ timer: { id: 'second', step: FOAM.key, part: 'part 2', fromMs: 0, offMs: null } }, (deed) =>
      deeds.push(deed),
    );
    await userEvent.click(screen.getByRole('button', { name: /is off$/ }));
    expect(deeds).toEqual([{ kind: 'product-off', timer: 'second' }]);
  });
});

describe('the step at hand', () => {
  const FOAM = liveStep('foam', {
    groups: ['upper'],
    direction: 'bottom-up',
    dwell: { minMinutes: 3, maxMinutes: 8, cutBy: null, cutAs: null, isTooShort: false },
    note: 'Keep off warm brakes.',
    onMeter: true,
  });
  const RINSE = liveStep('rinse', { onMeter: true, minutes: 3 });
  const DRY = liveStep('blow', { minutes: 12 });
  const running = (steps: LiveStep[], more: object = {}) => state({ steps, ...more });
  const card = (at: RunMoment, run: RunState, act: (...deeds: RunDeed[]) => void = () => undefined) => {
    open(
      <StepCard
        bodyClass="hatch"
        moment={at}
        state={run}
        tap={mainTap(run, at)}
        act={(...deeds) => act(...deeds)}
      />,
    );
    return screen.getByRole('region', { name: 'Step at hand' });
  };

  it('is named with its place in the sheet, its parts, its way and its clock', () => {
    const current = { ...FOAM, state: 'running' as const };
    const text = card(moment({ current, stepSeconds: 75 }), running([current, RINSE, DRY])).textContent;
    expect(text).toContain('Now, step 1 of 3, on the meter');
    expect(text).toContain('bottom up');
    expect(text).toContain('1:15 of 4:00, estimated');
    expect(text).toContain('Keep off warm brakes.');
    expect(text).toMatch(/Then .*3\.0 min on the meter; after that /);
  });

  it('that comes next has not begun', () => {
    const text = card(moment({ next: RINSE }), running([RINSE, DRY])).textContent;
    expect(text).toContain('Next, step 1 of 2');
    expect(text).toContain('0:00 of 3:00, estimated');
  });

  it('says that it is paused', () => {
    const current = { ...RINSE, state: 'running' as const };
    expect(card(moment({ current, isPaused: true }), running([current])).textContent).toContain(
      'Paused at, step 1 of 1',
    );
  });

  it('takes product on another part, counted from what lies there', async () => {
    const current = { ...FOAM, state: 'running' as const };
    const deeds: RunDeed[] = [];
    const timers = [{ id: 'a', step: FOAM.key, part: '', fromMs: 0, offMs: null }];
    card(moment({ current }), running([current, RINSE], { timers }), (deed) => deeds.push(deed));
    await userEvent.click(screen.getByRole('button', { name: 'Product on another part' }));
    expect(deeds).toEqual([{ kind: 'product-on', step: FOAM.key, part: 'part 2' }]);
  });

  it('is the closing where nothing is left to do', () => {
    expect(card(moment(), running([{ ...RINSE, state: 'done' }])).textContent).toContain(
      'All steps are done',
    );
  });
});
