import { MS_PER_DAY } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { ZoneProtection } from '../vehicle/index.js';
import { type CoatEvent, protectionsAfter, protectionState, type WearHistory } from './index.js';

const NOW = 900 * MS_PER_DAY;
const daysAgo = (days: number): number => NOW - days * MS_PER_DAY;
const row = (change: Partial<ZoneProtection> = {}): ZoneProtection => ({
  zone: 'roof',
  kind: 'wax',
  appliedMs: daysAgo(30),
  claimedLifeDays: 60,
  observed: null,
  notedMs: null,
  ...change,
});
const event = (ago: number, change: Partial<CoatEvent> = {}): CoatEvent => ({
  atMs: daysAgo(ago),
  stripped: [],
  laid: [],
  isToppedUp: false,
  seen: [],
  ...change,
});
const BODY = ['upper', 'lower'] as const;
const strip = (ago: number) => event(ago, { stripped: BODY });
const coat = (ago: number, kind: 'sealant' | 'coating' = 'sealant') =>
  event(ago, { laid: [{ kind, productName: 'Larch', groups: BODY }] });
const roof = (
  rows: readonly ZoneProtection[],
  events: readonly CoatEvent[],
  protection: ZoneProtection['kind'] = 'wax',
) => protectionsAfter({ protection, protections: rows }, events).find(({ zone }) => zone === 'roof');

describe('the protection map after washes', () => {
  it('is as it was noted, where nothing took off or put on', () => {
    expect(protectionsAfter({ protection: 'wax', protections: [row()] }, [event(3)])).toEqual([row()]);
    expect(protectionsAfter({ protection: 'wax', protections: [] }, [event(3)])).toEqual([]);
  });

  it('has the new coat with its date on every painted zone, and not on glass or wheels', () => {
    const after = protectionsAfter({ protection: 'wax', protections: [row()] }, [
      event(10, { stripped: BODY, laid: [{ kind: 'sealant', productName: 'Larch', groups: BODY }] }),
    ]);
    expect(after.map(({ zone }) => zone).sort()).toEqual(
      [
        'bonnet',
        'boot',
        'front',
        'lower-left',
        'lower-right',
        'rear',
        'roof',
        'upper-left',
        'upper-right',
      ].sort(),
    );
    const isNew = ({ kind, appliedMs, productName }: ZoneProtection): boolean =>
      kind === 'sealant' && appliedMs === daysAgo(10) && productName === 'Larch';
    expect(after.every(isNew)).toBe(true);
  });

  it.each([
    { why: 'a strip leaves wax bare', events: [strip(10)], protection: 'wax', kind: 'bare' },
    { why: 'a strip leaves a coating', events: [strip(10)], protection: 'coating', kind: 'coating' },
    {
      why: 'coated after a strip',
      events: [coat(9, 'coating'), strip(10)],
      protection: 'wax',
      kind: 'coating',
    },
    { why: 'stripped after a coat', events: [coat(12), strip(10)], protection: 'wax', kind: 'bare' },
  ] as const)('$why', ({ events, protection, kind }) => {
    // A zone that no wash changed is the car's own.
    expect(roof([], events, protection)?.kind ?? protection).toBe(kind);
  });

  it('leaves a zone alone that was put on, or told, after the wash', () => {
    expect(roof([row({ appliedMs: daysAgo(5) })], [strip(10)])?.kind).toBe('wax');
    expect(roof([row({ notedMs: daysAgo(10) })], [strip(10)])?.kind).toBe('wax');
    expect(roof([row({ notedMs: daysAgo(10) - 1 })], [strip(10)])?.kind).toBe('bare');
    expect(roof([row({ notedMs: daysAgo(11) })], [strip(10)])?.kind).toBe('bare');
  });

  it('is renewed by a top-up where that is of its kind, a coating is not', () => {
    expect(roof([row()], [event(3, { isToppedUp: true })])).toMatchObject({
      kind: 'wax',
      appliedMs: daysAgo(3),
    });
    const coated = row({ kind: 'coating', claimedLifeDays: 1095 });
    expect(roof([coated], [event(3, { isToppedUp: true })])).toEqual(coated);
    expect(roof([row({ kind: 'bare' })], [event(3, { isToppedUp: true })])?.kind).toBe('bare');
  });

  it('leaves a coating what it is where a sealant is sprayed over it, and forgets what was seen of it', () => {
    const coated = row({ kind: 'coating', observed: { behaviour: 'sheeting', atMs: daysAgo(20) } });
    expect(roof([coated], [coat(3)])).toEqual({ ...coated, observed: null });
    expect(roof([coated], [coat(3, 'coating')])).toMatchObject({ kind: 'coating', appliedMs: daysAgo(3) });
  });

  it('forgets a look from before a strip or a coat, and keeps one from after it', () => {
    const seen = (ago: number) => ({ behaviour: 'beading', atMs: daysAgo(ago) }) as const;
    expect(roof([row({ observed: seen(12) })], [coat(10)])?.observed).toBeNull();
    expect(roof([row({ observed: seen(2) })], [coat(10)])?.observed).toEqual(seen(2));
    const atEnd = event(10, {
      laid: [{ kind: 'sealant', productName: 'Larch', groups: BODY }],
      seen: [{ zone: 'roof', behaviour: 'beading' }],
    });
    expect(roof([row({ observed: seen(12) })], [atEnd])?.observed).toEqual(seen(10));
  });

  it('takes the newest look, and none of a zone that was not looked at', () => {
    const flat = event(4, { seen: [{ zone: 'roof', behaviour: 'flat' }] });
    const later = event(2, { seen: [{ zone: 'roof', behaviour: 'sheeting' }] });
    expect(roof([row()], [later, flat])?.observed).toEqual({ behaviour: 'sheeting', atMs: daysAgo(2) });
    expect(roof([], [flat])).toMatchObject({ kind: 'wax', appliedMs: null, observed: { behaviour: 'flat' } });
    expect(protectionsAfter({ protection: 'wax', protections: [] }, [flat])).toHaveLength(1);
  });
});

describe('a look at the water', () => {
  const history = (change: Partial<WearHistory> = {}): WearHistory => ({
    nowMs: NOW,
    washes: [],
    saltDaysSince: () => 0,
    ...change,
  });
  const seen = (behaviour: 'beading' | 'sheeting' | 'flat', ago: number) => ({
    behaviour,
    atMs: daysAgo(ago),
  });
  const state = (change: Partial<ZoneProtection>, past: Partial<WearHistory> = {}) =>
    protectionState(row(change), history(past));

  it('does not keep an old wax sound for good', () => {
    const old = { appliedMs: daysAgo(800), claimedLifeDays: 75 };
    expect(state({ ...old, observed: seen('beading', 799) })).toMatchObject({
      standing: 'spent',
      leftFraction: 0,
    });
    expect(state({ ...old, observed: seen('beading', 0) })).toMatchObject({
      standing: 'sound',
      leftFraction: 0.5,
    });
    // Half of 75 days is left at the look; 30 days later a tenth.
    expect(state({ ...old, observed: seen('beading', 30) }).leftFraction).toBeCloseTo(0.1, 9);
  });

  it('corrects a date that says too much, and counts on from there', () => {
    expect(state({ appliedMs: daysAgo(4), observed: seen('sheeting', 0) }).leftFraction).toBeCloseTo(0.3, 9);
    expect(state({ appliedMs: daysAgo(4), observed: seen('sheeting', 3) }).leftFraction).toBeCloseTo(
      0.3 - 3 / 60,
      9,
    );
    expect(state({ appliedMs: daysAgo(58), observed: seen('sheeting', 0) }).leftFraction).toBeCloseTo(
      2 / 60,
      9,
    );
  });

  it('leaves what the date says where that is more than half', () => {
    expect(state({ appliedMs: daysAgo(6), observed: seen('beading', 0) }).leftFraction).toBeCloseTo(0.9, 9);
  });

  it('is forgotten with the coat that a strip took off', () => {
    const washes = [{ atMs: daysAgo(2), soapPh: 11.5, strips: true }];
    expect(state({ observed: seen('beading', 5) }, { washes })).toMatchObject({
      standing: 'spent',
      observed: null,
    });
    expect(state({ observed: seen('beading', 1) }, { washes })).toMatchObject({ standing: 'sound' });
  });

  it('tells of a coat without a date, and not how much of it is left', () => {
    expect(state({ appliedMs: null, observed: seen('beading', 5) })).toMatchObject({
      standing: 'sound',
      leftFraction: null,
    });
    expect(state({ appliedMs: null, observed: seen('beading', 50) })).toMatchObject({
      standing: 'spent',
      leftFraction: null,
    });
    expect(state({ appliedMs: null, observed: seen('flat', 50) }).standing).toBe('clogged-or-gone');
    expect(state({ appliedMs: null }).standing).toBe('unknown-age');
  });

  it.each([
    { soapPh: 5, strong: 0, why: 'as acid as wax stands' },
    { soapPh: 4.9, strong: 1, why: 'just beyond it' },
    { soapPh: 9.5, strong: 0, why: 'as alkaline as wax stands' },
    { soapPh: 9.6, strong: 1, why: 'just beyond it' },
  ])('is not needed to count a soap of pH $soapPh: $why', ({ soapPh, strong }) => {
    const washes = [{ atMs: daysAgo(1), soapPh, strips: false }];
    const found = state({}, { washes });
    expect(found.strongWashes).toBe(strong);
    expect(found.leftFraction).toBeCloseTo(0.5 - (strong === 1 ? 0.12 : 0.004), 9);
  });

  it('goes by the limits of this shop', () => {
    const washes = [{ atMs: daysAgo(1), soapPh: 10.5, strips: false }];
    const range = { low: 2, high: 11 };
    const stands = { wax: range, sealant: range, 'spray-ceramic': range, coating: range, film: range };
    expect(state({}, { washes }).strongWashes).toBe(1);
    expect(state({}, { washes, stands }).strongWashes).toBe(0);
  });
});
