import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '../quantity/index.js';
import type { ZoneProtection } from '../vehicle/index.js';
import { type CoatEvent, coatHistory } from './index.js';

const NOW = 900 * MS_PER_DAY;
const ago = (days: number): number => NOW - days * MS_PER_DAY;
const BODY = ['upper', 'lower'] as const;
const PAINTED = 9;
const event = (days: number, change: Partial<CoatEvent> = {}): CoatEvent => ({
  atMs: ago(days),
  stripped: [],
  laid: [],
  isToppedUp: false,
  seen: [],
  ...change,
});
const laid = (days: number, productName: string, groups: CoatEvent['laid'][number]['groups'] = BODY) =>
  event(days, { laid: [{ kind: 'sealant', productName, groups }] });
const noted = (change: Partial<ZoneProtection> = {}): ZoneProtection => ({
  zone: 'roof',
  kind: 'wax',
  appliedMs: ago(60),
  claimedLifeDays: null,
  observed: null,
  ...change,
});
const of = (events: readonly CoatEvent[], protections: readonly ZoneProtection[] = []) =>
  coatHistory({ protection: 'bare', protections }, events);

describe('the coats of a car', () => {
  it('are none where no date is known', () => {
    expect(of([])).toEqual([]);
    expect(coatHistory({ protection: 'wax', protections: [] }, [])).toEqual([]);
    expect(of([], [noted({ appliedMs: null })])).toEqual([]);
  });

  it('lie from the wash that put them on to the one that took them off or covered them, the newest first', () => {
    const [newest, middle, oldest, ...rest] = of([
      laid(10, 'Fir'),
      laid(100, 'Larch'),
      event(40, { stripped: BODY }),
      laid(30, 'Larch'),
    ]);
    expect(rest).toEqual([]);
    expect(newest).toMatchObject({ productName: 'Fir', fromMs: ago(10), toMs: null, ended: 'lies' });
    expect(middle).toMatchObject({ productName: 'Larch', fromMs: ago(30), toMs: ago(10), ended: 'covered' });
    expect(oldest).toMatchObject({
      productName: 'Larch',
      fromMs: ago(100),
      toMs: ago(40),
      ended: 'stripped',
    });
    expect(oldest?.zones).toHaveLength(PAINTED);
  });

  it('are listed by zone where they ended differently', () => {
    const coats = of([laid(30, 'Larch'), laid(10, 'Fir', ['lower'])]);
    expect(coats.map(({ productName, ended, zones }) => [productName, ended, zones.length])).toEqual([
      ['Fir', 'lies', 4],
      ['Larch', 'lies', 5],
      ['Larch', 'covered', 4],
    ]);
  });

  it('are gone on the day on which water first lay flat, whatever came later', () => {
    const flat = (days: number) => event(days, { seen: [{ zone: 'roof', behaviour: 'flat' }] });
    const roof = of([laid(90, 'Larch'), flat(20), flat(10), laid(5, 'Fir')]).find(
      ({ ended, zones }) => ended === 'gone' && zones.includes('roof'),
    );
    expect(roof).toMatchObject({ productName: 'Larch', toMs: ago(20), zones: ['roof'] });
    const beads = event(20, { seen: [{ zone: 'roof', behaviour: 'beading' }] });
    expect(of([laid(90, 'Larch'), beads])).toMatchObject([{ ended: 'lies', toMs: null }]);
  });

  it('begin with what somebody told, and what lay there before it is covered by it', () => {
    const told = noted({ productName: 'Old wax', notedMs: ago(50) });
    expect(of([], [told])).toMatchObject([{ productName: 'Old wax', fromMs: ago(60), ended: 'lies' }]);
    const coats = of([laid(100, 'Larch', ['upper']), event(20, { stripped: ['upper'] })], [told]);
    const roof = coats.filter(({ zones }) => zones.includes('roof'));
    expect(roof).toMatchObject([
      { productName: 'Old wax', fromMs: ago(60), toMs: ago(20), ended: 'stripped' },
      { productName: 'Larch', fromMs: ago(100), toMs: ago(60), ended: 'covered' },
    ]);
  });

  it('are not doubled where the coat of a wash was told again with its name', () => {
    const told = noted({ kind: 'sealant', productName: 'Larch', appliedMs: ago(30), notedMs: ago(1) });
    const roof = of([laid(30, 'Larch', ['upper'])], [told]).filter(({ zones }) => zones.includes('roof'));
    expect(roof).toHaveLength(1);
  });

  it('lie on glass and wheels as somebody told, whatever a wash put on paint', () => {
    const glass = noted({ zone: 'glass', kind: 'spray-ceramic', productName: 'Glass sealer' });
    const coats = of([laid(10, 'Larch')], [glass]).filter(({ zones }) => zones.includes('glass'));
    expect(coats).toMatchObject([{ productName: 'Glass sealer', fromMs: ago(60), ended: 'lies' }]);
  });

  it('are renewed by a top-up', () => {
    const coats = of([event(5, { isToppedUp: true })], [noted()]);
    expect(coats).toMatchObject([
      { kind: 'wax', fromMs: ago(5), ended: 'lies' },
      { kind: 'wax', fromMs: ago(60), toMs: ago(5), ended: 'covered' },
    ]);
  });
});
