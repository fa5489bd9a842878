import { beforeEach, describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  DEFAULT_WORKERS,
  type Settings,
} from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { SettingsPage } from './settings-page.js';

const SETTINGS = {
  display: DEFAULT_DISPLAY,
  timeZone: 'Etc/UTC',
  house: { ...DEFAULT_HOUSE, choices: { ...DEFAULT_HOUSE.choices, drying: 'towel' } },
  limits: { ...DEFAULT_LIMITS, inHandFraction: 0.5 },
  prices: DEFAULT_PRICES,
  season: DEFAULT_SEASON,
  workers: DEFAULT_WORKERS,
  stock: {},
} as unknown as Settings;

let sent: Sent[];
beforeEach(() => {
  sent = madeUpServer(({ path }) => (path.endsWith('/settings') ? { body: SETTINGS } : undefined));
});

const IN_HAND = 'Time kept in hand over the minutes from wetting to wiping';
const open = async () => {
  show(<SettingsPage />);
  await screen.findByRole('navigation', { name: 'Subjects' });
};
const subject = (name: RegExp) => screen.getByRole('link', { name });

describe('the settings', () => {
  it('begin with the units, and show one subject at a time', async () => {
    await open();
    expect(screen.getByRole('heading', { name: 'Units and time zone' })).toBeTruthy();
    expect(screen.queryByText(IN_HAND)).toBeNull();
    await userEvent.click(subject(/^Limits/));
    expect(await screen.findByText(IN_HAND)).toBeTruthy();
    expect(subject(/^Limits/).getAttribute('aria-current')).toBe('page');
    expect(screen.queryByRole('heading', { name: 'Units and time zone' })).toBeNull();
  });

  it('say how many of a subject were changed', async () => {
    await open();
    expect(subject(/^Limits/).textContent).toContain('1 changed');
    expect(subject(/^House rules/).textContent).toContain('1 changed');
    expect(subject(/^Seasonal jobs/).textContent).toBe('Seasonal jobs');
  });

  it('are found by words in any order, whatever their subject, and changed where they are found', async () => {
    await open();
    await userEvent.type(screen.getByRole('searchbox', { name: 'Find a setting' }), 'hand wiping');
    expect(screen.getByText(IN_HAND)).toBeTruthy();
    const rows = screen.getAllByRole('textbox', { name: /%$/ });
    expect(rows).toHaveLength(1);
    await userEvent.click(screen.getByRole('button', { name: 'As shipped' }));
    await waitFor(() =>
      expect(sent.map(({ body }) => body)).toContainEqual({
        limits: { inHandFraction: DEFAULT_LIMITS.inHandFraction },
      }),
    );
  });

  it('lead to a subject without numbers, and leave the search behind', async () => {
    await open();
    await userEvent.type(screen.getByRole('searchbox'), 'zone currency');
    const links = screen.getAllByRole('link', { name: 'Units and clock' });
    await userEvent.click(links.find((link) => link.closest('nav') === null) as HTMLElement);
    expect(await screen.findByRole('heading', { name: 'Units and time zone' })).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('searchbox').value).toBe('');
  });

  it('are shown where they differ from what was shipped', async () => {
    await open();
    await userEvent.click(screen.getByRole('checkbox', { name: 'Only what was changed' }));
    expect(screen.getByText(IN_HAND)).toBeTruthy();
    expect(screen.getByRole('group', { name: 'How is it dried?' })).toBeTruthy();
    expect(screen.getAllByRole('textbox', { name: /./ })).toHaveLength(1);
    await userEvent.type(screen.getByRole('searchbox'), 'zzz');
    expect(await screen.findByText('No setting has to do with that')).toBeTruthy();
  });
});
