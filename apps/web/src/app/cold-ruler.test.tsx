import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type ForecastHour, MS_PER_HOUR } from '@keen/core';
import { screen } from '@testing-library/react';
import { madeUpServer } from '../testing/server.js';
import { show } from '../testing/show.js';
import { ColdRuler } from './cold-ruler.js';

const FROM = Date.UTC(2026, 0, 14, 6);
const NOW = FROM + 0.5 * MS_PER_HOUR;
const hours = Array.from(
  { length: 30 },
  (_, i) => ({ atMs: FROM + i * MS_PER_HOUR, airTempC: i >= 6 && i < 9 ? 1 : -4 }) as ForecastHour,
);
const wash = {
  id: 'w',
  status: 'planned',
  startMs: FROM + 3 * MS_PER_HOUR,
  minutes: 60,
  vehicleId: 'a',
};

function serve(ahead: readonly ForecastHour[], washes: readonly object[]): void {
  madeUpServer(({ path }) => {
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
    if (path.endsWith('/clock')) return { body: { nowMs: NOW } };
    if (path.endsWith('/weather')) return { body: { source: 'simulated station', ahead } };
    return path.endsWith('/washes') ? { body: washes } : undefined;
  });
}

describe('the ruler under the bar', () => {
  it('says the day in one sentence, who told it, and leads to the weather', async () => {
    serve(hours, [wash]);
    show(<ColdRuler />);
    const ruler = await screen.findByRole('link', { name: /Next 24 hours: −4.0 °C to 1.0 °C/ });
    expect(ruler.getAttribute('aria-label')).toContain('above freezing 12:00 to 15:00');
    expect(await screen.findByRole('link', { name: /1 planned/ })).toBe(ruler);
    expect(ruler.getAttribute('href')).toBe('/weather');
    expect(screen.getByText('simulated station')).toBeTruthy();
    expect(screen.getByText(/06:30/)).toBeTruthy();
  });

  it('counts what is planned within the day alone, and nothing that is done', async () => {
    serve(hours, [
      { ...wash, startMs: FROM + 40 * MS_PER_HOUR },
      { ...wash, id: 'd', status: 'done' },
    ]);
    show(<ColdRuler />);
    expect(await screen.findByRole('link', { name: /no wash planned/ })).toBeTruthy();
  });

  it('says that it never thaws', async () => {
    serve(
      hours.map((hour) => ({ ...hour, airTempC: -9 })),
      [],
    );
    show(<ColdRuler />);
    expect(await screen.findByRole('link', { name: /never above freezing/ })).toBeTruthy();
  });

  it('is empty where nothing is known', async () => {
    serve([], []);
    const { container } = show(<ColdRuler />);
    await new Promise((done) => setTimeout(done));
    expect(screen.queryByRole('link')).toBeNull();
    expect(container.querySelector('div')).not.toBeNull();
  });
});
