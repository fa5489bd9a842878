import { afterEach, describe, expect, it } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import { useLastRead } from '../api/last-read.js';
import { madeUpServer } from '../testing/server.js';
import { show } from '../testing/show.js';
import { agoText, NoSignal } from './no-signal.js';

const MINUTE = 60_000;

describe('how long ago', () => {
  it.each([
    [59_000, 'a moment ago'],
    [MINUTE, '1 minute ago'],
    [119 * MINUTE, '119 minutes ago'],
    [120 * MINUTE, '2 hours ago'],
    [47 * 60 * MINUTE, '47 hours ago'],
    [48 * 60 * MINUTE, '2 days ago'],
  ])('%s ms is %s', (ms, text) => {
    expect(agoText(ms)).toBe(text);
  });
});

describe('a page without a signal', () => {
  afterEach(() => act(() => useLastRead.setState({ keptMs: null })));

  it('says from when that is which it shows, and nothing while the server answers', () => {
    madeUpServer();
    show(<NoSignal />);
    expect(screen.queryByRole('status')).toBeNull();
    act(() => useLastRead.setState({ keptMs: 1, ageMs: 5 * MINUTE }));
    expect(screen.getByRole('status').textContent).toContain('No signal: this is how it was 5 minutes ago.');
  });
});
