import { describe, expect, it } from '@jest/globals';
import type { Variant, VariantStep } from '../house-rules/index.js';
import { shelfOf } from '../kit/index.js';
import { shopMethod, stepKeys } from '../method/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { KEEP_NOTHING } from '../shop/index.js';
import { FACTS, THIS_HOUR_MS } from '../testing/facts.js';
import { BAY, bottle, HEATED_UNIT } from '../testing/shop.js';
import { answerTo, type TrialAnswer } from './index.js';

const tools = { keep: KEEP_NOTHING, report: () => undefined, clockMs: () => 0 };
const STRONG = bottle({
  id: 'strong',
  role: 'alkaline-pre-wash',
  inUsePh: 11,
  usualParts: 9,
  fewestParts: 4,
  mostParts: 20,
  dwell: { minMinutes: 2, maxMinutes: 5 },
});
const ACID = bottle({ id: 'acid', role: 'wheel-acid', inUsePh: 3, usualParts: 3, fewestParts: 2 });
const KIT = { products: [STRONG, ACID, bottle({ id: 'soap' })], gear: [] };

const row = (key: string, own: Partial<VariantStep> = {}): VariantStep => ({
  key,
  minutes: null,
  note: '',
  ...own,
});
const variant = (steps: readonly VariantStep[], leftOut: readonly string[] = []): Variant => ({
  steps,
  leftOut,
});

const asked = (own: Variant | undefined, places = FACTS.places) => ({
  ...FACTS,
  places,
  shelf: shelfOf(KIT),
  start: {
    placeId: 'bay',
    methodId: 'bay-contact',
    startMs: THIS_HOUR_MS + 5 * MS_PER_HOUR,
    ...(own ? { variant: own } : {}),
  },
});

function tried(own: Variant | undefined, places = FACTS.places): TrialAnswer {
  const answer = answerTo<'trial'>({ ...asked(own, places), kind: 'trial', kit: KIT }, tools);
  if (!answer) throw new Error('that hour is not known');
  return answer;
}

/** The whole order of the method, with these steps behind one of its own. */
const KEYS = stepKeys(shopMethod('bay-contact', FACTS.house).steps);
const withBehind = (key: string, behind: readonly VariantStep[], own: Partial<VariantStep> = {}): Variant =>
  variant(KEYS.flatMap((one) => (one === key ? [row(one, own), ...behind] : [row(one)])));

const faultsOf = ({ faults }: TrialAnswer, key: string) => faults.filter((one) => one.key === key);

describe('an order that is tried out', () => {
  const shipped = tried(undefined);
  const plain = tried(variant([]));

  it('takes what the wash as the shop does it takes where nothing is changed', () => {
    const { faults: _, ...figures } = shipped;
    const { faults: _own, ...same } = plain;
    expect(same).toEqual(figures);
    expect(shipped.minutes).toBeGreaterThan(30);
  });

  it('says of a step that is sent to the second place why it cannot be done there', () => {
    const order = variant(KEYS.map((key) => row(key, key === 'foam-0' ? { stage: 'second' } : {})));
    const finish = { place: HEATED_UNIT, driveMinutes: 5, priceMinor: 0 };
    const sent = tried(order, [HEATED_UNIT, { ...BAY, finish }]);
    expect(faultsOf(sent, 'rinse-0')).toEqual([
      { key: 'rinse-0', id: 'rinse', fault: { kind: 'needs-first-place' }, fix: null },
    ]);
    expect(faultsOf(sent, 'foam-0')).toContainEqual(
      expect.objectContaining({ fault: { kind: 'not-rinsed-here' }, fix: { kind: 'any-place' } }),
    );
    expect(sent.minutes).toBe(plain.minutes);
    // Where there is no second place, nobody asks.
    expect(tried(order).faults).toEqual(plain.faults);
  });

  it('takes longer, more water and more money by what its steps say', () => {
    const longer = tried(variant([row('contact-0', { minutes: 40, litres: 35 })]));
    expect(longer.litres).toBeCloseTo(plain.litres + 15, 6);
    expect(longer.minutes).toBeGreaterThan(plain.minutes + 5);
    const rinsed = tried(withBehind('rinse-0', [row('+rinse')]));
    expect(rinsed.moneyMinor).toBeGreaterThan(plain.moneyMinor);
  });

  it('names the step after which nothing rinses, and a rinse behind it mends that', () => {
    const notRinsed = ({ fault }: TrialAnswer['faults'][number]): boolean => fault.kind === 'not-rinsed';
    const left = tried(withBehind('towel-0', [row('+iron')]));
    expect(faultsOf(left, '+iron').filter(notRinsed)).toMatchObject([
      { id: 'iron', fault: { groups: ['wheels', 'lower'] }, fix: { kind: 'rinse-behind' } },
    ]);
    const rinse = row('+rinse', { groups: ['upper', 'lower', 'wheels'] });
    expect(faultsOf(tried(withBehind('towel-0', [row('+iron'), rinse])), '+iron').filter(notRinsed)).toEqual(
      [],
    );
  });

  it('names a mix stronger than its label, and how weak it has to be', () => {
    const strong = tried(variant([row('foam-0', { parts: 1, product: 'strong' })]));
    const [fault] = faultsOf(strong, 'foam-0').filter(({ fault: { kind } }) => kind === 'too-strong');
    expect(fault).toMatchObject({ fault: { parts: 1, fewestParts: 4 }, fix: { kind: 'weaken', parts: 4 } });
    const weak = tried(variant([row('foam-0', { parts: 4, product: 'strong' })]));
    expect(faultsOf(weak, 'foam-0').filter(({ fault: { kind } }) => kind === 'too-strong')).toEqual([]);
  });

  it('names acid that comes over alkali, and a rinse between them mends that', () => {
    const acid = row('+wheels', { product: 'acid' });
    const kinds = (behindFoam: readonly VariantStep[]) =>
      faultsOf(tried(withBehind('foam-0', behindFoam, { product: 'strong' })), '+wheels').map(
        ({ fault, fix }) => [fault.kind, fix?.kind],
      );
    expect(kinds([acid])).toContainEqual(['acid-over-alkali', 'rinse-before']);
    expect(kinds([row('+rinse'), acid]).map(([kind]) => kind)).not.toContain('acid-over-alkali');
  });

  it('keeps two strengths of one product apart, each on its own zones', () => {
    const own = withBehind(
      'foam-0',
      [row('+foam', { product: 'strong', parts: 4, groups: ['lower', 'wheels'] })],
      { product: 'strong', parts: 9, groups: ['upper'] },
    );
    const two = tried(own);
    expect(
      [...faultsOf(two, 'foam-0'), ...faultsOf(two, '+foam')].map(({ fault }) => fault.kind),
    ).not.toContain('too-strong');
    const pack = answerTo<'run-pack'>({ ...asked(own), kind: 'run-pack', kit: KIT }, tools);
    const foams = pack?.sheet.preparation.mixes.filter(({ step }) => step === 'foam') ?? [];
    expect(foams.map(({ parts }) => parts)).toEqual([9, 4]);
    const onSheet = pack?.sheet.steps.filter(({ id }) => id === 'foam') ?? [];
    // Part by part, however the verdict cuts the car up.
    expect(new Set(onSheet.map(({ mix, groups }) => `${mix?.parts} ${groups.join()}`))).toEqual(
      new Set(['9 upper', '4 lower,wheels']),
    );
  });

  it('dwells no longer than its label, whatever the shop says', () => {
    const dwell = { minMinutes: 9, maxMinutes: 20 };
    const long = tried(variant([row('foam-0', { product: 'strong', dwell, minutes: 4 })]));
    expect(long.against.map(({ ruleId }) => ruleId)).toEqual(plain.against.map(({ ruleId }) => ruleId));
  });

  it('is not known where nobody knows that hour', () => {
    const control = FACTS.weather.control.map((hour, i) => (i === 5 ? null : hour));
    const blind = { ...asked(undefined), weather: { ...FACTS.weather, control } };
    expect(answerTo<'trial'>({ ...blind, kind: 'trial', kit: KIT }, tools)).toBeNull();
  });
});
