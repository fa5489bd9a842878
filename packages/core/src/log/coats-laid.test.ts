import { describe, expect, it } from '@jest/globals';
import type { ProductRole } from '../protection/index.js';
import { coatsLaid } from './index.js';

const BODY = ['upper', 'lower'] as const;
const of = (role: ProductRole, name: string | null = null) => ({ role, name });

describe('what a wash lays', () => {
  it.each([
    { id: 'seal', role: 'sealant', kind: 'sealant' },
    { id: 'seal', role: 'spray-ceramic', kind: 'spray-ceramic' },
    { id: 'dry-seal', role: 'spray-wax', kind: 'wax' },
    { id: 'dry-seal', role: 'drying-sealant', kind: 'sealant' },
    { id: 'wet-seal', role: 'wet-sealant', kind: 'sealant' },
    { id: 'foam-seal', role: 'foaming-sealant', kind: 'sealant' },
  ] as const)('is $kind from $role in “$id”', ({ id, role, kind }) => {
    expect(coatsLaid([{ id, groups: BODY, product: of(role, 'Larch') }])).toEqual([
      { kind, productName: 'Larch', groups: BODY },
    ]);
  });

  it('is a sealant where no bottle is known, and nothing where a step lays nothing', () => {
    expect(coatsLaid([{ id: 'seal', groups: BODY }])).toEqual([
      { kind: 'sealant', productName: null, groups: BODY },
    ]);
    expect(coatsLaid([{ id: 'towel', groups: BODY, product: of('drying-aid') }])).toEqual([]);
    expect(coatsLaid([{ id: 'contact', groups: BODY, product: of('shampoo') }])).toEqual([]);
  });

  it('is one coat however many parts it went on, and one for each bottle', () => {
    const part = (groups: readonly ('upper' | 'lower')[], name: string) => ({
      id: 'dry-seal' as const,
      groups,
      product: of('drying-sealant', name),
    });
    expect(coatsLaid([part(['upper'], 'Larch'), part(['lower'], 'Larch'), part(['lower'], 'Fir')])).toEqual([
      { kind: 'sealant', productName: 'Larch', groups: ['upper', 'lower'] },
      { kind: 'sealant', productName: 'Fir', groups: ['lower'] },
    ]);
  });
});
