import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Finding, RULES } from '@keen/core';
import { makeFormat } from '../format/format.js';
import { findingText } from './finding-words.js';
import { GLYPH_NAMES, RULE_NAMES } from './names.js';
import { alsoIfText, verdictText } from './verdict-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');

const ICE: Finding = {
  ruleId: 'ice-on-car',
  level: 'block',
  margin: -6,
  unit: 'min',
  comfort: -1,
  actual: 10,
  limit: 16,
  panel: 'roof',
  section: 'whole-car',
};

describe('what products do, in words', () => {
  const of = (change: Partial<Finding>): Finding => ({
    ruleId: 'label-time',
    level: 'block',
    margin: -4,
    unit: 'min',
    comfort: -1,
    actual: 12,
    limit: 8,
    step: 'foam',
    ...change,
  });
  it.each([
    {
      change: { panel: 'left' },
      text: '“foam the car” lies 12 min on the left flank; its label allows 8.0 min',
    },
    {
      change: { step: 'wheels' },
      text: '“clean the wheels” lies 12 min on the wheels; its label allows 8.0 min',
    },
    {
      change: { level: 'condition', remedy: 'smaller-section', section: 'two-panels' },
      text: 'you work two panels at a time: then nothing outstays its label',
    },
    { change: { level: 'clear', margin: null, unit: 'none' }, text: 'no label sets a limit here' },
    {
      change: { ruleId: 'site-rule', margin: -11, unit: 'min', actual: 31, limit: 20 },
      text: 'you may stay there 20 min, and it takes 31 min: dry it somewhere else, or do less',
    },
    {
      change: { ruleId: 'chemicals', margin: null, unit: 'none', under: 'wheels' },
      text: '“foam the car” goes on over “clean the wheels”: acid and alkali meet. Put a rinse between',
    },
    {
      change: { ruleId: 'chemicals', margin: null, unit: 'none', step: 'tar' },
      text: 'nothing rinses off “put tar remover on”. Put a rinse after it',
    },
    {
      change: { ruleId: 'chemicals', margin: null, unit: 'none', step: 'seal', under: 'rinse' },
      text: '“seal it” wants dry paint, and “rinse it” leaves it wet. Towel it dry between',
    },
    {
      change: {
        ruleId: 'wear',
        level: 'condition',
        margin: null,
        unit: 'none',
        step: 'strip',
        zone: 'roof',
        remedy: 'strip-on-purpose',
      },
      text: 'you mean to: “strip it” takes off the protection that lies on the roof',
    },
    {
      change: { ruleId: 'wear', margin: null, unit: 'none', step: 'wheels', zone: 'wheels-left' },
      text: 'the product for “clean the wheels” may not touch the wheels left',
    },
    {
      change: { ruleId: 'wear', level: 'condition', margin: -1.3, unit: 'pH', actual: 10.8, zone: 'roof' },
      text: 'you top up the protection after (roof): what “foam the car” puts on (10.8 pH) is 1.3 pH too strong for it',
    },
  ] as const)('$text', ({ change, text }) => {
    expect(findingText(of(change), format)).toBe(text);
  });
});

describe('verdicts in words', () => {
  it('name the reason and a number with its unit', () => {
    expect(verdictText('wait', ICE, format)).toBe(
      'Wait: the roof freezes 6.0 min before your hand is there (ice after 10 min, 16 min needed)',
    );
  });

  it('say all else that it goes on condition of', () => {
    const hands: Finding = {
      ruleId: 'cold-hands',
      level: 'condition',
      margin: -2,
      unit: 'K',
      comfort: -1,
      actual: -12,
      limit: -10,
      remedy: 'lined-gloves',
    };
    const ground: Finding = { ...hands, ruleId: 'ice-on-ground', actual: -4 };
    expect(alsoIfText([hands, ground], format)).toBe(
      'you wear lined gloves and take breaks: wind chill −12.0 °C; wet hands feel it more; you grit or squeegee the run-off: the ground reaches −4.0 °C within 12 h',
    );
  });

  it('say what makes it go', () => {
    const text = verdictText(
      'go-if',
      { ...ICE, level: 'condition', margin: 2, section: 'one-side', remedy: 'smaller-section' },
      format,
    );
    expect(text).toBe('Go if you work one side at a time: the roof freezes after 10 min, 16 min needed');
  });

  it('say how much later to start, and what that gets round', () => {
    const later: Finding = {
      ruleId: 'open-hours',
      level: 'condition',
      margin: null,
      unit: 'none',
      comfort: -1,
      remedy: 'start-later',
      amount: 40,
    };
    expect(verdictText('go-if', later, format)).toBe(
      'Go if you start 40 min later (at the hour: closed at this hour)',
    );
  });

  it('say what another last rinse would do', () => {
    const spots: Finding = {
      ruleId: 'spots',
      level: 'condition',
      margin: -9,
      unit: 'mg/m²',
      comfort: -1,
      actual: 21,
      limit: 12,
      panel: 'bonnet',
      remedy: 'demin-rinse',
      amount: 0.6,
    };
    expect(verdictText('go-if', spots, format)).toContain(
      'the last rinse is demineralised: it would leave 0.6 mg/m²',
    );
  });

  it('speak Fahrenheit to those who do', () => {
    const fahrenheit = makeFormat({ ...DEFAULT_DISPLAY, temperature: 'F' }, 'America/Toronto', 'en-US');
    const cold: Finding = {
      ruleId: 'cold-hands',
      level: 'condition',
      margin: -2,
      unit: 'K',
      comfort: -0.2,
      actual: -22,
      limit: -20,
    };
    expect(verdictText('go-if', cold, fahrenheit)).toContain('−8 °F');
  });
});

describe('every rule', () => {
  it.each(RULES.map((rule) => [rule.id, rule] as const))(
    '%s has a name, a sign and words for each level',
    (id, rule) => {
      expect(RULE_NAMES[id].length).toBeGreaterThan(2);
      expect(GLYPH_NAMES[rule.glyph].length).toBeGreaterThan(2);
      for (const level of ['clear', 'condition', 'block', 'unknown'] as const) {
        const text = findingText(
          {
            ruleId: id,
            level,
            margin: -1,
            unit: 'min',
            comfort: 0,
            actual: 5,
            limit: 6,
            panel: 'roof',
            section: 'one-side',
          },
          format,
        );
        expect(text.length).toBeGreaterThan(5);
        expect(text).not.toMatch(/undefined|NaN|null|!/);
      }
    },
  );

  it.each(RULES.map(({ id }) => id).filter((id) => id !== 'ice-on-car' && id !== 'spots'))(
    '%s has words for a clear that is not one of degree',
    (id) => {
      const text = findingText(
        { ruleId: id, level: 'clear', margin: null, unit: 'none', comfort: Infinity },
        format,
      );
      expect(text).not.toMatch(/undefined|NaN|not known/);
    },
  );
});
