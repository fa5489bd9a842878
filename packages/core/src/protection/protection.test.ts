import { MS_PER_DAY } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { VEHICLE } from '../testing/shop.js';
import type { ZoneProtection } from '../vehicle/index.js';
import {
  CLOG_CLEANERS,
  clogTest,
  compatibility,
  PH_STANDS,
  PRODUCT_ROLES,
  protectionOn,
  protectionState,
  weakestProtection,
  type WearHistory,
} from './index.js';

const NOW = 200 * MS_PER_DAY;
const row = (change: Partial<ZoneProtection> = {}): ZoneProtection => ({
  zone: 'roof',
  kind: 'wax',
  appliedMs: NOW - 30 * MS_PER_DAY,
  claimedLifeDays: 60,
  observed: null,
  ...change,
});
const history = (change: Partial<WearHistory> = {}): WearHistory => ({
  nowMs: NOW,
  washes: [],
  saltDaysSince: () => 0,
  ...change,
});
const mild = { soapPh: 7.5, strips: false };
const strong = { soapPh: 12.5, strips: false };
const washed = (count: number, wash: typeof mild): WearHistory['washes'] =>
  Array.from({ length: count }, (_, i) => ({ ...wash, atMs: NOW - (i + 1) * MS_PER_DAY }));

describe('what is left', () => {
  it('counts down with the days', () => {
    expect(protectionState(row(), history()).leftFraction).toBeCloseTo(0.5, 9);
    expect(protectionState(row({ appliedMs: NOW - 60 * MS_PER_DAY }), history())).toMatchObject({
      leftFraction: 0,
      standing: 'spent',
    });
  });

  it('counts strong washes far more than mild ones, and only those since it was put on', () => {
    const left = (washes: WearHistory['washes']): number =>
      protectionState(row(), history({ washes })).leftFraction ?? NaN;
    expect(left(washed(3, strong))).toBeLessThan(left(washed(3, mild)) - 0.3);
    expect(left(washed(3, mild))).toBeGreaterThan(0.48);
    expect(left([{ ...strong, atMs: NOW - 40 * MS_PER_DAY }])).toBeCloseTo(0.5, 9);
  });

  it('wears on a coating less than on wax', () => {
    const worn = (kind: 'wax' | 'coating'): number => {
      const fresh = row({ kind, appliedMs: NOW, claimedLifeDays: 1000 });
      const later = row({ kind, appliedMs: NOW - 20 * MS_PER_DAY, claimedLifeDays: 1000 });
      const washes = washed(5, { soapPh: 13.5, strips: false });
      return (
        (protectionState(fresh, history()).leftFraction ?? NaN) -
        (protectionState(later, history({ washes })).leftFraction ?? NaN)
      );
    };
    expect(worn('coating')).toBeLessThan(0.3 * worn('wax'));
  });

  it('ages with days under salt', () => {
    const salted = protectionState(row(), history({ saltDaysSince: () => 20 })).leftFraction ?? NaN;
    expect(salted).toBeLessThan(0.5);
    expect(protectionState(row(), history({ saltDaysSince: () => 20 })).saltDays).toBe(20);
  });

  it('is gone after a strip wash, but for coatings and film', () => {
    const washes = [{ atMs: NOW - MS_PER_DAY, soapPh: 11.5, strips: true }];
    expect(protectionState(row(), history({ washes })).standing).toBe('spent');
    expect(
      protectionState(row({ kind: 'coating', claimedLifeDays: 1095 }), history({ washes })).leftFraction,
    ).toBeGreaterThan(0.5);
  });

  it.each([
    { behaviour: 'beading', standing: 'sound', why: 'beads go before the sums' },
    { behaviour: 'sheeting', standing: 'worn', why: 'sheeting is worn at least' },
    { behaviour: 'flat', standing: 'clogged-or-gone', why: 'flat is clogged or gone' },
  ] as const)('$why', ({ behaviour, standing }) => {
    expect(protectionState(row({ observed: { behaviour, atMs: NOW } }), history()).standing).toBe(standing);
  });

  it('forgets what was seen before the coat was put on', () => {
    const before = { behaviour: 'flat', atMs: NOW - 31 * MS_PER_DAY } as const;
    expect(protectionState(row({ observed: before }), history())).toMatchObject({
      standing: 'sound',
      observed: null,
    });
  });

  it('does not guess without a date', () => {
    expect(protectionState(row({ appliedMs: null }), history())).toMatchObject({
      standing: 'unknown-age',
      leftFraction: null,
    });
    expect(protectionState(row({ kind: 'bare' }), history()).standing).toBe('none');
  });
});

describe('clogged or gone', () => {
  it('asks for the mildest cleaner first, then the next, then says gone', () => {
    expect(clogTest('flat', [])).toEqual({ kind: 'try', cleaner: 'film-remover' });
    expect(clogTest('flat', [{ cleaner: 'film-remover', after: 'flat' }])).toEqual({
      kind: 'try',
      cleaner: 'iron-remover',
    });
    expect(
      clogTest(
        'flat',
        CLOG_CLEANERS.map((cleaner) => ({ cleaner, after: 'flat' as const })),
      ),
    ).toEqual({
      kind: 'gone',
    });
  });

  it('begins with the mild acid where water lies flat after a winter’s salt, and goes through the rest then', () => {
    expect(clogTest('flat', [], 10)).toEqual({ kind: 'try', cleaner: 'mineral-acid' });
    const acid = { cleaner: 'mineral-acid', after: 'flat' } as const;
    expect(clogTest('flat', [acid], 40)).toEqual({ kind: 'try', cleaner: 'film-remover' });
    expect(clogTest('flat', [], 9)).toEqual({ kind: 'try', cleaner: 'film-remover' });
    expect(clogTest('sheeting', [], 40)).toEqual({ kind: 'try', cleaner: 'film-remover' });
    expect(
      clogTest(
        'flat',
        CLOG_CLEANERS.map((cleaner) => ({ cleaner, after: 'flat' as const })),
        40,
      ),
    ).toEqual({
      kind: 'gone',
    });
  });

  it('was clogged if a cleaner brings it back', () => {
    expect(clogTest('flat', [{ cleaner: 'film-remover', after: 'beading' }])).toEqual({
      kind: 'clogged',
      by: 'film-remover',
    });
    expect(clogTest('sheeting', [{ cleaner: 'film-remover', after: 'sheeting' }]).kind).toBe('try');
  });

  it('has nothing to test where water beads', () => {
    expect(clogTest('beading', [])).toEqual({ kind: 'sound' });
  });
});

describe('what may touch it', () => {
  const meets = (change: Partial<Parameters<typeof compatibility>[0]>) =>
    compatibility({ role: 'shampoo', inUsePh: 7.5, protection: 'wax', isDelicateMetal: false, ...change });

  it.each([
    { change: {}, kind: 'fine', why: 'shampoo on wax' },
    { change: { role: 'film-remover', inUsePh: 12.5 }, kind: 're-protect', why: 'strong alkali on wax' },
    {
      change: { role: 'film-remover', inUsePh: 12.5, protection: 'coating' },
      kind: 'fine',
      why: 'a coating stands it',
    },
    {
      change: { role: 'film-remover', inUsePh: 13.4, protection: 'film' },
      kind: 'block',
      why: 'protection film does not',
    },
    { change: { inUsePh: 9.5 }, kind: 'fine', why: 'at the limit of wax' },
    { change: { inUsePh: 9.6 }, kind: 're-protect', why: 'just beyond it' },
    { change: { role: 'tar-remover', inUsePh: 7 }, kind: 're-protect', why: 'solvent eats wax' },
    {
      change: { role: 'tar-remover', inUsePh: 7, protection: 'coating' },
      kind: 'fine',
      why: 'not a coating',
    },
    { change: { role: 'mineral-acid', inUsePh: 3 }, kind: 're-protect', why: 'acid on wax' },
    { change: { role: 'clay', protection: 'coating' }, kind: 're-protect', why: 'clay abrades' },
    { change: { role: 'clay', protection: 'film' }, kind: 'block', why: 'not on film' },
    { change: { role: 'sealant', inUsePh: 7 }, kind: 'warn', why: 'sealant bonds to bare paint' },
    { change: { role: 'sealant', inUsePh: 7, protection: 'bare' }, kind: 'fine', why: 'as it should' },
    {
      change: { role: 'wheel-acid', inUsePh: 2, protection: 'bare', isDelicateMetal: true },
      kind: 'block',
      why: 'acid on polished metal',
    },
    {
      change: { role: 'wheel-cleaner', inUsePh: 8.5, protection: 'bare', isDelicateMetal: true },
      kind: 'fine',
      why: 'mild on polished metal',
    },
  ] as const)('$why', ({ change, kind }) => {
    expect(meets(change).kind).toBe(kind);
  });

  it('keeps limits in order, and a pH for every role', () => {
    for (const { low, high } of Object.values(PH_STANDS)) expect(low).toBeLessThan(high);
    for (const { typicalPh } of Object.values(PRODUCT_ROLES)) {
      expect(typicalPh).toBeGreaterThan(0);
      expect(typicalPh).toBeLessThan(14);
    }
  });
});

describe('what lies where', () => {
  const coated = { ...VEHICLE, protection: 'coating' as const };

  it('is the car’s own on paint, bare on glass, wheels and metal, unless told', () => {
    expect(protectionOn(coated, 'roof')).toBe('coating');
    expect(protectionOn(coated, 'glass')).toBe('bare');
    expect(protectionOn(coated, 'underbody')).toBe('bare');
    const told = {
      ...coated,
      protections: [row({ zone: 'glass', kind: 'sealant' }), row({ zone: 'bonnet', kind: 'bare' })],
    };
    expect(protectionOn(told, 'glass')).toBe('sealant');
    expect(protectionOn(told, 'bonnet')).toBe('bare');
  });

  it('names the weakest zone', () => {
    const waxed = { ...coated, protections: [row({ zone: 'rear', kind: 'wax' })] };
    expect(weakestProtection(waxed)).toEqual({ zone: 'rear', kind: 'wax' });
    expect(weakestProtection(VEHICLE)).toBeNull();
  });
});
