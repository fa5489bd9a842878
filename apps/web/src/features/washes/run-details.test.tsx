import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type RunHand, type RunRecord } from '@keen/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { RunDetails } from './run-details.js';

const RUN = {
  steps: [{ id: 'rinse', minutes: 3, plannedMinutes: 4, skipped: null }],
  readings: [],
  notes: [],
  waterMinutes: null,
  foldedTowels: 2,
  dryingTowels: 1,
} as unknown as RunRecord;
const AT = Date.parse('2026-01-14T10:05:00-05:00');

const shown = (hands: readonly RunHand[]) => {
  const asked: string[] = [];
  madeUpServer(({ path }) => {
    asked.push(path);
    if (path.endsWith('/hands')) return { body: hands };
    if (path.endsWith('/settings'))
      return { body: { display: DEFAULT_DISPLAY, timeZone: 'America/Toronto' } };
    return undefined;
  });
  show(<RunDetails washId="w" run={RUN} />);
  return asked;
};

describe('how a wash went', () => {
  it('says whose session and which phone noted it, once it is opened', async () => {
    const asked = shown([
      { who: null, device: null, deeds: 3, fromMs: AT, toMs: AT },
      { who: 'Jon', device: 'Bay phone', deeds: 1, fromMs: AT, toMs: AT + 60_000 },
    ]);
    expect(asked.some((path) => path.endsWith('/hands'))).toBe(false);
    await userEvent.click(screen.getByText('How it went'));
    expect((await screen.findByText(/^Jon/)).textContent).toMatch(
      /^Jon on Bay phone: 1 tap, .*10:05.* to .*10:06/,
    );
    expect(screen.queryByText(/Nobody signed in/)).toBeNull();
  });

  it('says nothing of it where nobody signs in', async () => {
    shown([{ who: null, device: null, deeds: 3, fromMs: AT, toMs: AT }]);
    await userEvent.click(screen.getByText('How it went'));
    expect(await screen.findByText(/2 folded and 1 drying towels/)).toBeTruthy();
    expect(screen.queryByText('Noted by')).toBeNull();
  });
});
