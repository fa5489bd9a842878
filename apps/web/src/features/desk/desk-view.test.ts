import { describe, expect, it } from '@jest/globals';
import { CALCULATORS, calculate, DEFAULT_DISPLAY, type DisplaySettings } from '@keen/core';
import { shownUnit } from '../../format/shown-unit.js';
import { makeFormat } from '../../format/format.js';
import { fieldLabel, fieldsOf, figureText, inputFrom, shownExample, shownFigure } from './desk-view.js';
import { workingOf } from './working.js';

const AMERICAN: DisplaySettings = {
  ...DEFAULT_DISPLAY,
  temperature: 'F',
  wind: 'mph',
  distance: 'mi',
  volume: 'gal',
  currency: 'USD',
};

describe('a figure of a sum', () => {
  const format = makeFormat(AMERICAN, 'UTC', 'en-US');

  it.each([
    { unit: 'minor units', value: 650, shown: { unit: '', text: '$6.50' } },
    { unit: '°C', value: 10, shown: { unit: '°F', text: '50' } },
    { unit: 's', value: null, shown: { unit: 's', text: 'none' } },
    { unit: 's', value: [1, 2], shown: { unit: 's', text: '1, 2' } },
  ])('of $value $unit reads $shown.text', ({ unit, value, shown }) => {
    expect(shownFigure(unit, value, format)).toEqual(shown);
  });
});

describe('the reference desk', () => {
  it.each([...CALCULATORS.keys()].filter((name) => name !== 'wash'))(
    '%s has an example that its own sum answers, in any units, with its working',
    (name) => {
      const calculator = CALCULATORS.get(name);
      const answers = [DEFAULT_DISPLAY, AMERICAN].map((display) => {
        const input = inputFrom(fieldsOf(name), shownExample(name, display), display);
        const working = workingOf(name, input);
        expect(working.length).toBeGreaterThan(0);
        for (const line of working) expect(line).not.toMatch(/NaN|undefined|\?(?!$)/);
        return calculator && calculate(calculator, input);
      });
      for (const answer of answers) expect(answer).toMatchObject({ ok: true });
      const numbers = answers.map((answer) =>
        Object.values((answer?.ok ? answer.value : {}) as Record<string, unknown>).filter(
          (value): value is number => typeof value === 'number',
        ),
      );
      numbers[0]?.forEach((value, i) => expect(numbers[1]?.[i]).toBeCloseTo(value, 2));
    },
  );

  it.each([
    { unit: '°C', value: -10, shown: 14, label: '°F' },
    { unit: 'km/h at 10 m', value: 100, shown: 62.1371, label: 'mph at 10 m' },
    { unit: 'm/s at the panel', value: 10, shown: 22.369356, label: 'mph at the panel' },
    { unit: 'mL of finished mix', value: 29.5735, shown: 1, label: 'fl oz of finished mix' },
    { unit: 'mL per L of water', value: 5, shown: 5, label: 'mL per L of water' },
    { unit: 'L', value: 3.785412, shown: 1, label: 'gal' },
    { unit: 'km a day', value: 100, shown: 62.1371, label: 'mi a day' },
    { unit: 'minor units', value: 750, shown: 7.5, label: 'USD' },
    { unit: 'µS/cm', value: 10, shown: 10, label: 'µS/cm' },
  ])('shows $unit as $label and back', ({ unit, value, shown, label }) => {
    const made = shownUnit(unit, AMERICAN);
    expect(made.label).toBe(label);
    expect(made.toShown(value)).toBeCloseTo(shown, 5);
    expect(made.fromShown(made.toShown(value))).toBeCloseTo(value, 9);
  });

  it('shows the working of a sum that people get wrong', () => {
    expect(workingOf('dilution', { totalMl: 1000, partsWater: 9, capMl: 50 })).toEqual([
      '1 part product : 9 parts water = 10 % of the mix',
      'product = 1000 ÷ (1 + 9) = 100 mL; water = 900 mL',
      '100 ÷ 50 mL a cap = 2 caps',
    ]);
    expect(workingOf('dilution', { totalMl: -1 })).toEqual([]);
    expect(workingOf('mixed', { productMl: 350, waterMl: 3000, wantedPartsWater: 10 })[1]).toBe(
      '350 × 10 − 3000 = 500 mL more water',
    );
    expect(workingOf('mixed', { productMl: 100, waterMl: 3000, wantedPartsWater: 10 })[1]).toBe(
      '3000 ÷ 10 − 100 = 200 mL more product',
    );
    expect(workingOf('bottle-mix', { bottleMl: 1000, partsWater: [9, 19] })).toEqual([
      '1000 ÷ (1 + 9) = 100 mL of product 1',
      '1000 ÷ (1 + 19) = 50 mL of product 2',
      'water to the brim: 850 mL',
    ]);
  });

  it('leaves out what is empty, so that the sum can say what it misses', () => {
    expect(inputFrom(fieldsOf('wind-chill'), { airTempC: ' ', windKmh: '20' }, DEFAULT_DISPLAY)).toEqual({
      windKmh: 20,
    });
  });

  it('writes figures with as many digits as matter, and names in words', () => {
    expect([figureText(17.860584), figureText(null), figureText([0, 2]), figureText(true)]).toEqual([
      '17.861',
      'none',
      '0, 2',
      'yes',
    ]);
    expect(
      ['relHumidityFraction', 'airTempC', 'filmGramsPerM2', 'litres', 'mlPerLitreWater', 'tdsMgPerLitre'].map(
        fieldLabel,
      ),
    ).toEqual(['Relative humidity', 'Air temperature', 'Film', 'Litres', 'mL per litre water', 'TDS']);
  });
});
