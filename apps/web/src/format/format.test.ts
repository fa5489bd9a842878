import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY } from '@keen/core';
import { makeFormat } from './format.js';
import { fromLocalInput, toLocalInput } from './local-input.js';
import { hardnessScale, tempScale } from './scales.js';

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

  it.each([
    { minutes: 0, text: '0 min' },
    { minutes: 9.94, text: '9.9 min' },
    { minutes: 10, text: '10 min' },
    { minutes: -10, text: '−10 min' },
    { minutes: 179.4, text: '179 min' },
    { minutes: 180, text: '3.0 h' },
    { minutes: 2874, text: '47.9 h' },
    { minutes: 2880, text: '2.0 d' },
  ])('$minutes minutes at the edge of a unit as $text', ({ minutes, text }) => {
    expect(metric.minutes(minutes)).toBe(text);
  });

  it.each([
    { of: 9.94, litres: '9.9 L', gallons: '2.6 gal' },
    { of: 10, litres: '10 L', gallons: '2.6 gal' },
    { of: 39.9, litres: '40 L', gallons: '10.5 gal' },
    { of: 40, litres: '40 L', gallons: '11 gal' },
    { of: 378.54, litres: '379 L', gallons: '100 gal' },
  ])('$of L as $litres and $gallons', ({ of, litres, gallons }) => {
    expect([metric.litres(of), imperial.litres(of)]).toEqual([litres, gallons]);
  });

  it.each([
    { of: 9.94, metricText: '9.9 mL', ounces: '0.34 fl oz' },
    { of: 10, metricText: '10 mL', ounces: '0.34 fl oz' },
    { of: 299, metricText: '299 mL', ounces: '10.1 fl oz' },
    { of: 300, metricText: '300 mL', ounces: '10.1 fl oz' },
    { of: 946, metricText: '946 mL', ounces: '32.0 fl oz' },
    { of: 999, metricText: '999 mL', ounces: '1.06 qt' },
    { of: 1000, metricText: '1.00 L', ounces: '1.06 qt' },
    { of: 6276, metricText: '6.28 L', ounces: '1.66 gal' },
  ])('$of mL as $metricText and $ounces', ({ of, metricText, ounces }) => {
    expect([metric.ml(of), imperial.ml(of)]).toEqual([metricText, ounces]);
  });

  it('tells of rain in millimetres, or in inches where one drives miles', () => {
    expect([metric.fall(1.34), imperial.fall(1.34)]).toEqual(['1.3 mm', '0.05 in']);
  });

  it.each([
    { km: 9.94, text: '9.9 km', miles: '6.2 mi' },
    { km: 10, text: '10 km', miles: '6.2 mi' },
    { km: 16.2, text: '16 km', miles: '10 mi' },
  ])('$km km as $text and $miles', ({ km, text, miles }) => {
    expect([metric.km(km), imperial.km(km)]).toEqual([text, miles]);
  });

  it('wind in metres a second, shares, and every unit of hardness', () => {
    const other = (change: Partial<typeof DEFAULT_DISPLAY>) =>
      makeFormat({ ...DEFAULT_DISPLAY, ...change }, ZONE, 'en-CA');
    expect(other({ wind: 'ms' }).wind(3.14)).toBe('3.1 m/s');
    expect(metric.share(0.154)).toBe('15 %');
    expect(metric.share(1)).toBe('100 %');
    expect(
      (['dH', 'fH', 'clark', 'mmolPerLitre'] as const).map((hardness) => other({ hardness }).hardness(200)),
    ).toEqual(['11.2 °dH', '20.0 °fH', '14.0 °e', '2.0 mmol/L']);
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

  it('are written in the words of the language, short and long', () => {
    expect(metric.day(AT)).toBe('Wednesday, January 14');
    expect(metric.dayShort(AT)).toBe('Wed, Jan 14');
    expect(metric.dayTime(AT)).toBe('Wed, Jan 14, 06:40');
    expect(metric.time(Date.parse('2026-01-14T00:05:00-05:00'))).toBe('00:05');
    expect(metric.hourOfDay(Date.parse('2026-01-14T00:05:00-05:00'))).toBe(0);
    expect(metric.dayKey(Date.parse('2026-01-15T00:00:00-05:00'))).toBe('2026-01-15');
    expect([metric.timeZone, metric.display]).toEqual([ZONE, DEFAULT_DISPLAY]);
  });

  it('are the instant that was known as long as the field still says it', () => {
    // The second of the two hours when the clock goes back.
    const second = Date.parse('2026-11-01T01:30:00-05:00');
    const text = toLocalInput(second, ZONE);
    expect(fromLocalInput(text, ZONE, second)).toBe(second);
    expect(fromLocalInput(text, ZONE)).toBe(second - 3_600_000);
    expect(fromLocalInput('2026-11-01T01:31', ZONE, second)).toBe(second - 3_600_000 + 60_000);
    expect(fromLocalInput('2026-03-08T02:30', ZONE)).toBeNull();
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

describe('what is typed in another unit', () => {
  it.each([
    { scale: tempScale({ temperature: 'C' }), kept: -4.5, shown: -4.5 },
    { scale: tempScale({ temperature: 'F' }), kept: -40, shown: -40 },
    { scale: tempScale({ temperature: 'F' }), kept: 20, shown: 68 },
    { scale: hardnessScale({ hardness: 'mgPerLitreCaCO3' }), kept: 180, shown: 180 },
    { scale: hardnessScale({ hardness: 'fH' }), kept: 180, shown: 18 },
  ])('$kept is shown as $shown and kept as it was', ({ scale, kept, shown }) => {
    expect(scale.toShown(kept)).toBeCloseTo(shown, 9);
    expect(scale.fromShown(shown)).toBeCloseTo(kept, 9);
  });
});
