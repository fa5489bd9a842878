import { describe, expect, it } from '@jest/globals';
import { type Finding, WAYS } from '@keen/core';
import { wayBeside, wayName, wayText } from './way-words.js';

describe('how a wash is cut up, in words', () => {
  it('is an instruction for every way but the whole car, each its own', () => {
    const texts = WAYS.map(({ id }) => wayText(id));
    expect(texts[0]).toBeNull();
    expect(texts.slice(1)).not.toContain(null);
    expect(new Set(texts).size).toBe(WAYS.length);
  });

  it.each([
    ['dry-two-panels', 'Dry two panels at a time'],
    ['touch-one-side', 'Wash one side at a time'],
    ['soap-one-panel', 'Do one panel at a time from the soap on'],
    ['touch-one-side-soak', 'Soak each part with warm water'],
    ['dry-one-side-rinse', 'Rinse each part again'],
    ['lower-only', 'Wash the lower body only'],
    ['upper-only', 'Wash the upper body only'],
    ['dry-elsewhere', 'dry it there'],
    ['touch-elsewhere-thaw', 'let what froze on the way thaw'],
  ] as const)('%s says “%s”', (id, words) => {
    expect(wayText(id)).toContain(words);
  });

  it.each([
    ['whole', 'the whole car at once'],
    ['dry-one-side', 'one side at a time, drying'],
    ['touch-two-panels', 'two panels at a time, from the hand on'],
    ['soap-one-panel', 'one panel at a time, from the soap on'],
    ['dry-one-panel-rinse', 'one panel at a time, drying, each rinsed just before'],
    ['touch-one-side-soak', 'one side at a time, from the hand on, each soaked warm just before'],
    ['lower-only', 'the lower body only'],
    ['upper-only', 'the upper body only'],
    ['dry-elsewhere-thaw', 'rinsed here, thawed and dried where you finish'],
  ] as const)('%s has the name “%s”', (id, name) => {
    expect(wayName(id)).toBe(name);
  });

  it('stands beside a verdict that does not say it already', () => {
    const wear: Finding = {
      ruleId: 'wear',
      level: 'condition',
      margin: -1,
      unit: 'pH',
      comfort: -1,
      remedy: 'protect-after',
    };
    expect(wayBeside('dry-two-panels', wear)).toContain('Dry two panels at a time');
    expect(wayBeside('dry-two-panels', { ...wear, remedy: 'smaller-section' })).toBeNull();
    expect(wayBeside('lower-only', { ...wear, remedy: 'lower-only' })).toBeNull();
    expect(wayBeside('whole', wear)).toBeNull();
  });

  it('says nothing of a sheet made before ways were told', () => {
    expect(wayText(undefined)).toBeNull();
  });
});
