import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Finding } from '@keen/core';
import { makeFormat } from '../format/format.js';
import { findingText } from './finding-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');
type Change = Partial<Finding> & Pick<Finding, 'ruleId' | 'level'>;
const text = (change: Change): string =>
  findingText({ margin: null, unit: 'none', comfort: 1, ...change }, format);

/** A finding of degree: how far from its limit, what was found, what is allowed. */
const of = (
  ruleId: Finding['ruleId'],
  level: Finding['level'],
  [actual, limit, unit]: readonly [number, number, Finding['unit']],
  rest: Partial<Finding> = {},
): Change => ({ ruleId, level, unit, actual, limit, margin: actual - limit, ...rest });
const told = (ruleId: Finding['ruleId'], level: Finding['level'], rest: Partial<Finding> = {}): Change => ({
  ruleId,
  level,
  ...rest,
});

describe('what was found, in words', () => {
  it.each<readonly [Change, string]>([
    // Ice.
    [
      of('ice-on-car', 'clear', [2.5, 0, 'K'], { panel: 'roof' }),
      'no ice: the coldest panel, the roof, stays at 2.5 °C',
    ],
    [
      of('ice-on-car', 'condition', [-3, -6, 'K'], { panel: 'roof' }),
      'what is left freezes thin on the roof (−3.0 °C): wipe seals, handles and mirrors before you park',
    ],
    [
      of('ice-on-car', 'condition', [-3, -6, 'K'], { remedy: 'smaller-section', section: 'two-panels' }),
      'you work two panels at a time: then nothing freezes',
    ],
    [
      of('ice-on-car', 'condition', [-3, -6, 'K'], { remedy: 'lower-only' }),
      'you wash the lower body only: then nothing freezes',
    ],
    [
      of('ice-on-car', 'condition', [-3, -6, 'K'], { remedy: 'finish-elsewhere' }),
      'you rinse it here and finish it at the second place: then nothing freezes',
    ],
    [
      of('ice-on-car', 'block', [-9, -6, 'K'], { panel: 'roof' }),
      'the roof falls to −9.0 °C; a left film may freeze no colder than −6.0 °C',
    ],
    [
      of('ice-on-car', 'clear', [14, 9.5, 'min'], { panel: 'left' }),
      'the left flank freezes 14 min after the water; you need 9.5 min',
    ],
    [
      of('ice-on-car', 'condition', [4, 6, 'min'], {
        panel: 'left',
        remedy: 'rinse-each-part',
        section: 'one-side',
        before: 'rinse',
      }),
      'you work one side at a time, each rinsed just before you touch it: the left flank freezes after 4.0 min, 6.0 min needed',
    ],
    [told('ice-on-car', 'unknown'), 'no weather for these hours'],
    // Spots.
    [of('spots', 'clear', [3, 20, 'mg/m²']), 'dries clean, no water spots'],
    [
      of('spots', 'block', [30, 20, 'mg/m²'], { panel: 'bonnet' }),
      'water left to dry leaves 30.0 mg/m² on the bonnet; 20.0 mg/m² shows',
    ],
    [
      of('spots', 'condition', [30, 20, 'mg/m²'], { remedy: 'demin-rinse', amount: 1.5, panel: 'bonnet' }),
      'the last rinse is demineralised: it would leave 1.5 mg/m² (now: water left to dry leaves 30.0 mg/m² on the bonnet; 20.0 mg/m² shows)',
    ],
    [
      of('spots', 'condition', [30, 20, 'mg/m²'], {
        remedy: 'soak-each-part',
        section: 'one-panel',
        before: 'soak',
      }),
      'you work one panel at a time, each soaked with warm water just before you touch it: then no spots show',
    ],
    [
      of('spots', 'block', [4, 6, 'min'], { panel: 'bonnet' }),
      'the bonnet dries 2.0 min before you can wipe it (dry after 4.0 min, 6.0 min needed)',
    ],
    [
      of('spots', 'condition', [4, 6, 'min'], {
        panel: 'bonnet',
        remedy: 'smaller-section',
        section: 'one-side',
      }),
      'you work one side at a time: the bonnet dries after 4.0 min, 6.0 min needed',
    ],
    [
      of('spots', 'clear', [8, 6, 'min'], { panel: 'bonnet' }),
      'the bonnet dries 8.0 min after the water; you need 6.0 min',
    ],
    [told('spots', 'unknown'), 'no weather for these hours'],
    // The place.
    [told('method-offered', 'clear'), 'offered at this place'],
    [told('method-offered', 'block'), 'not offered at this place'],
    [told('floor-drain', 'clear'), 'the water has somewhere to go'],
    [of('floor-drain', 'block', [80, 20, 'L']), '80 L on a floor without a drain; 20 L at most'],
    [told('tap-frost', 'unknown'), 'no weather for these hours'],
    [told('tap-frost', 'clear'), 'the tap is live, or not needed'],
    [told('tap-frost', 'block'), 'there is no tap'],
    [of('tap-frost', 'block', [-2, 0, 'K']), 'the tap is shut against frost: −2.0 °C within 12 h'],
    [of('tap-frost', 'clear', [3, 0, 'K']), 'the tap is live: no colder than 3.0 °C within 12 h'],
    [told('open-hours', 'unknown'), 'no weather for these hours'],
    [told('open-hours', 'clear'), 'open'],
    [told('open-hours', 'block'), 'closed at this hour'],
    [of('open-hours', 'block', [20, 45, 'min']), 'closes 25 min before you are done'],
    [
      of('open-hours', 'clear', [60, 45, 'min'], { amount: 5 }),
      'open for 15 min after you are done, with 5.0 min in the queue',
    ],
    [told('site-rule', 'clear'), 'nothing forbids it'],
    [told('site-rule', 'unknown'), 'no weather for these hours'],
    [
      told('site-rule', 'condition', { siteRule: 'no-own-foam', remedy: 'site-soap' }),
      'you use the soap of the site: your own foam is not allowed here',
    ],
    [
      told('site-rule', 'condition', { siteRule: 'neighbour-close', remedy: 'shield-neighbour' }),
      'a car is parked beside it: you sheet it over and spray on to the cloth',
    ],
    // Sky and clock.
    [told('falling', 'clear'), 'under a roof, or not dried by hand'],
    [of('falling', 'block', [0.6, 0.1, 'mm/h']), '0.6 mm/h of rain or snow falls on it; 0.1 mm/h at most'],
    [of('falling', 'clear', [0, 0.1, 'mm/h']), 'dry enough: 0.0 mm/h'],
    [told('daylight', 'clear'), 'lamps, or no hand work'],
    [told('daylight', 'block'), 'it is dark and there are no lamps'],
    [of('daylight', 'block', [-10, 15, 'min']), 'light ends 25 min before you are done'],
    [of('daylight', 'clear', [40, 15, 'min']), 'light for 25 min after you are done'],
    [told('direct-sun', 'unknown'), 'no weather for these hours'],
    [told('direct-sun', 'clear'), 'how fast it dries decides'],
    [
      of('direct-sun', 'block', [600, 300, 'W/m²'], { panel: 'roof' }),
      'strong sun on the roof (600 W/m²; the limit here is 300 W/m²)',
    ],
    [of('direct-sun', 'clear', [100, 300, 'W/m²']), 'no strong sun: 100 W/m² at most'],
    // Hands and ground.
    [told('cold-hands', 'clear'), 'not cold enough to matter, or no hand work'],
    [
      of('cold-hands', 'block', [-30, -28, 'K']),
      'wind chill −30.0 °C: skin can freeze in 10 to 30 min; wet hands sooner',
    ],
    [
      of('cold-hands', 'condition', [-20, -15, 'K']),
      'you wear lined gloves and take breaks: wind chill −20.0 °C; wet hands feel it more',
    ],
    [of('cold-hands', 'clear', [-5, -15, 'K']), 'wind chill −5.0 °C; wet hands feel it more'],
    [told('ice-on-ground', 'clear'), 'run-off drains, or is little'],
    [
      of('ice-on-ground', 'condition', [-4, 0, 'K']),
      'you grit or squeegee the run-off: the ground reaches −4.0 °C within 12 h',
    ],
    [of('ice-on-ground', 'clear', [2, 0, 'K']), 'run-off stays liquid: no colder than 2.0 °C within 12 h'],
    // Soil.
    [told('soil-ceiling', 'clear'), 'it does not go on the body'],
    [
      of('soil-ceiling', 'condition', [3.5, 3, 'grade']),
      'you pre-soak it hot and slow: soil grade 3.5, 3.0 grade cleans without',
    ],
    [of('soil-ceiling', 'block', [4.5, 3, 'grade']), 'the body is too dirty for it: grade 4.5, fine up to 3'],
    [of('soil-ceiling', 'clear', [2, 3, 'grade']), 'soil grade 2.0; it cleans up to 3'],
    [told('scratch', 'clear'), 'nothing rubs the paint'],
    [
      of('scratch', 'block', [2.5, 1, 'grade']),
      'grit would mark the paint: grade 2.5 is left when it is rubbed, 1.0 at most',
    ],
    [
      of('scratch', 'condition', [1.2, 1, 'grade']),
      'you rinse once more before the mitt: it is still gritty (grade 1.2; 1.0 is safe)',
    ],
    [
      of('scratch', 'clear', [0.4, 1, 'grade']),
      'grade 0.4 is left when something rubs the paint; 1.0 is safe',
    ],
    // After.
    [told('seals-overnight', 'unknown'), 'the coming night is not in the forecast'],
    [
      told('seals-overnight', 'clear', { amount: 30 }),
      '30 mL stays in seals and locks: too little to matter',
    ],
    [
      of('seals-overnight', 'condition', [-8, 0, 'K'], { amount: 90 }),
      'you blow out and treat seals, locks and mirrors: 90 mL stays in them and it falls to −8.0 °C where it stands tonight',
    ],
    [
      of('seals-overnight', 'clear', [3, 0, 'K'], { amount: 90 }),
      '90 mL stays in seals and locks; no colder than 3.0 °C where it stands tonight',
    ],
    [told('re-soiling', 'clear'), 'the road after is beyond the forecast'],
    [of('re-soiling', 'clear', [0, 6, 'h']), 'main roads are wet or snowed as you finish'],
    [of('re-soiling', 'block', [3, 6, 'h']), 'main roads stay dry only 3 h after; 6 h wanted by the house'],
    [of('re-soiling', 'clear', [9, 6, 'h']), 'main roads stay dry 9 h after'],
    // In a second place.
    [
      of('falling', 'block', [2, 0.2, 'mm/h'], { isElsewhere: true }),
      'at the second place: 2.0 mm/h of rain or snow falls on it; 0.2 mm/h at most',
    ],
    [
      told('working-warmth', 'condition', { remedy: 'finish-elsewhere' }),
      'you rinse it here and finish it at the second place: then its products take the cold',
    ],
    // Products.
    [told('dry-on', 'unknown'), 'no weather for these hours'],
    [told('dry-on', 'clear'), 'products stay wet until they are rinsed off'],
    [
      told('dry-on', 'condition', { remedy: 'smaller-section', section: 'two-panels' }),
      'you work two panels at a time: then no product dries on',
    ],
    [
      of('dry-on', 'block', [4, 9, 'min'], { panel: 'roof' }),
      'a product dries on the roof after 4.0 min; 9.0 min pass before it is off',
    ],
    [of('dry-on', 'clear', [14, 9, 'min'], { panel: 'roof' }), 'product stays wet 14 min on the roof'],
    [told('working-warmth', 'unknown'), 'no weather for these hours'],
    [told('working-warmth', 'clear'), 'its products take the cold'],
    [of('working-warmth', 'block', [-2, 5, 'K']), 'too cold for the product: −2.0 °C, 5.0 °C needed'],
    [of('working-warmth', 'clear', [9, 5, 'K']), 'warm enough: 9.0 °C'],
    [told('label-time', 'unknown'), 'no weather for these hours'],
    // Forecasts.
    [told('forecast-agrees', 'clear'), 'not asked: something else decides'],
    [
      of('forecast-agrees', 'condition', [0.4, 0.2, 'share']),
      'the forecasts come together: it fails in 40 % of them, 20 % is tolerable',
    ],
    [of('forecast-agrees', 'clear', [0, 0.2, 'share']), 'all forecasts agree'],
    [of('forecast-agrees', 'clear', [0.05, 0.2, 'share']), 'fails in 5 % of the forecasts'],
  ])('%o', (finding, expected) => {
    expect(text(finding)).toBe(expected);
  });

  it('names the rule of the place, with the frost that calls for it', () => {
    const forbidden = (rest: Partial<Finding>): string => text(told('site-rule', 'block', rest));
    expect(forbidden({ siteRule: 'no-contact' })).toMatch(/^forbidden here: [^()]+$/);
    expect(forbidden({ siteRule: 'no-washing-in-frost', actual: -3 })).toMatch(
      /^forbidden here: .+ \(−3\.0 °C\)$/,
    );
  });

  it('says of a start a little later what rules out the hour', () => {
    const later = of('open-hours', 'condition', [20, 45, 'min'], { remedy: 'start-later', amount: 40 });
    expect(text(later)).toBe('you start 40 min later (at the hour: closes 25 min before you are done)');
  });
});
