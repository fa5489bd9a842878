import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY } from '@keen/core';
import { makeFormat } from './format.js';
import { fromLocalInput, toLocalInput } from './local-input.js';

const ZONE = 'America/Toronto';
const metric = makeFormat(DEFAULT_DISPLAY, ZONE, 'en-CA');
const imperial = makeFormat(
  { temperature: 'F', wind: 'mph', distance: 'mi', hardness: 'gpg', volume: 'gal', currency: 'USD' },
  ZONE,
  'en-US',
);
const AT = Date.parse('2026-01-14T06:40:00-05:00');

describe('units follow the settings', () => {
  it('temperatures and their differences', () => {
    expect(metric.temp(-4)).toBe('−4.0 °C');
    expect(imperial.temp(-4)).toBe('25 °F');
    expect(metric.kelvin(2)).toBe('2.0 K');
    expect(imperial.kelvin(10)).toBe('18.0 °F');
  });

  it('never shows a minus before nothing', () => {
    expect(metric.temp(-0.01)).toBe('0.0 °C');
  });

  it('wind, distance and hardness', () => {
    expect(metric.wind(10)).toBe('36 km/h');
    expect(imperial.wind(10)).toBe('22 mph');
    expect(imperial.km(100)).toBe('62 mi');
    expect(imperial.hardness(312)).toBe('18.2 gpg');
    expect(metric.hardness(312)).toBe('312 mg/L');
  });

  it.each([
    { minutes: 4.44, text: '4.4 min' },
    { minutes: 75, text: '75 min' },
    { minutes: 240, text: '4.0 h' },
    { minutes: 4320, text: '3.0 d' },
    { minutes: -6, text: '−6.0 min' },
  ])('$minutes minutes as $text', ({ minutes, text }) => {
    expect(metric.minutes(minutes)).toBe(text);
  });

  it('money in its currency', () => {
    expect(metric.money(-750)).toBe('−$7.50');
    expect(imperial.money(1300)).toBe('$13.00');
  });
});

describe('times', () => {
  it("stand in the shop's zone, not in the browser's", () => {
    expect(metric.time(AT)).toBe('06:40');
    expect(metric.dayKey(AT)).toBe('2026-01-14');
    expect(metric.dayKey(Date.parse('2026-01-14T23:59:00-05:00'))).toBe('2026-01-14');
    expect(metric.hourOfDay(AT)).toBe(6);
  });

  it('go into a field and come back', () => {
    expect(toLocalInput(AT, ZONE)).toBe('2026-01-14T06:40');
    expect(fromLocalInput('2026-01-14T06:40', ZONE)).toBe(AT);
  });

  it.each(['', '2026-01-14', '2026-01-14T6:40', 'tomorrow'])('"%s" is not yet a time', (text) => {
    expect(fromLocalInput(text, ZONE)).toBeNull();
  });

  it('keep to the wall clock over the change in spring', () => {
    const before = fromLocalInput('2026-03-08T01:30', ZONE) ?? 0;
    const after = fromLocalInput('2026-03-08T03:30', ZONE) ?? 0;
    expect(after - before).toBe(3_600_000);
  });
});
