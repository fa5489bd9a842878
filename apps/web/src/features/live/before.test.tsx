import { afterEach, describe, expect, it } from '@jest/globals';
import type { RunPack } from '@keen/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Before } from './before.js';

const pack = {
  washId: 'w',
  startMs: Date.UTC(2026, 0, 14, 12),
  method: { wayId: 'whole' },
  sheet: { minutes: 40, steps: [{ id: 'rinse' }], preparation: { pack: ['mitts', 'light'] } },
} as unknown as RunPack;

afterEach(cleanup);

describe('is it all here', () => {
  it('is ticked off, says what is missing, and is kept when the page comes again', async () => {
    madeUpServer();
    show(<Before pack={pack} />);
    const boxes = screen.getAllByRole('checkbox');
    expect(boxes).toHaveLength(2);
    expect(screen.getByRole('status').textContent).toMatch(/^2 not ticked yet/);
    for (const box of boxes) await userEvent.click(box);
    expect(screen.getByRole('status').textContent).toBe('All here.');
    cleanup();
    show(<Before pack={pack} />);
    expect(screen.getByRole('status').textContent).toBe('All here.');
    const [first] = screen.getAllByRole('checkbox');
    if (first) await userEvent.click(first);
    expect(screen.getByRole('status').textContent).toMatch(/^1 not ticked/);
  });
});
