import { describe, expect, it } from '@jest/globals';
import { type ZoneSoil } from '@keen/core';
import {
  compatibilityByZone,
  gradeText,
  handText,
  likeZones,
  protectionLayer,
  protectionRow,
  soilLayer,
  waterLayer,
  withRows,
} from './condition-view.js';

describe('condition', () => {
  const vehicle = {
    protection: 'coating' as const,
    waterBehaviour: 'sheeting' as const,
    delicateWheels: true,
    hasChargePort: false,
    protections: [
      {
        zone: 'rear',
        kind: 'wax',
        appliedMs: 5,
        claimedLifeDays: 60,
        observed: { behaviour: 'flat', atMs: 9 },
      } as const,
    ],
  };

  it('draws one kind of soil, what was seen marked', () => {
    const soil: ZoneSoil[] = [{ zone: 'rear', kind: 'grit', grade: 2.5, origin: 'measured' }];
    const layer = soilLayer(soil, 'grit');
    expect(layer.rear).toMatchObject({ text: '2.5', strength: 0.5, isMeasured: true });
    expect(layer.roof).toMatchObject({ text: '0', strength: 0, isMeasured: false });
    expect(gradeText(2.5, 'grit')).toBe('2.5, film with grit');
    expect(gradeText(2, 'tar')).toBe('2, little');
  });

  it('draws what is left of protection, what was seen going before the sums', () => {
    const sums = { ageDays: 1, lifeDays: 60, strongWashes: 0, saltDays: 0 } as const;
    const told = { appliedMs: null, claimedLifeDays: null, productName: null } as const;
    const state = { kind: 'wax', ...sums, ...told } as const;
    const layer = protectionLayer([
      { ...state, zone: 'roof', standing: 'sound', leftFraction: 0.72, observed: null },
      {
        ...state,
        zone: 'rear',
        standing: 'clogged-or-gone',
        leftFraction: 0.9,
        observed: { behaviour: 'flat', atMs: 9 },
      },
      { ...state, zone: 'glass', kind: 'bare', standing: 'none', leftFraction: null, observed: null },
    ]);
    expect(layer.roof?.text).toBe('72 %');
    expect(layer.rear).toMatchObject({ text: 'flat', strength: 0, isMeasured: true });
    expect(layer.glass?.text).toBe('');
  });

  it.each([
    [
      'now',
      'Needs a hand: grade 4.5 on the lower body (seen), and touch-free takes up to 4 off (judgement).',
    ],
    ['soon', 'About to need a hand: grade 4.5 on the lower body'],
    ['not-yet', 'Touch-free is enough: grade 4.5 on the lower body'],
  ] as const)('says when it needs a hand: %s', (when, text) => {
    expect(
      handText({ group: 'lower', grade: 4.5, origin: 'measured', takesGrade: 4, when }).startsWith(text),
    ).toBe(true);
  });

  it('shows water as seen, or as on the car', () => {
    const layer = waterLayer(vehicle);
    expect(layer.rear).toMatchObject({ text: 'flat', isMeasured: true });
    expect(layer.roof).toMatchObject({ text: 'sheets', isMeasured: false });
    expect(layer.underbody).toBeUndefined();
  });

  it('changes the rows of the zones it names and keeps the others', () => {
    const made = protectionRow(vehicle, 'roof');
    expect(made).toMatchObject({ zone: 'roof', kind: 'coating', appliedMs: null });
    const rows = withRows(vehicle.protections, [{ ...made, kind: 'sealant' }]);
    expect(rows).toHaveLength(2);
    expect(withRows(rows, [{ ...made, kind: 'bare' }]).filter(({ zone }) => zone === 'roof')).toHaveLength(1);
    expect(likeZones('roof')).toContain('rear');
    expect(likeZones('wheels-left')).toEqual(['wheels-left', 'wheels-right']);
  });

  it('says what a product does where', () => {
    const answers = new Map(
      compatibilityByZone(vehicle, { role: 'film-remover', inUsePh: 12.5 }).map(({ zone, answer }) => [
        zone,
        answer.kind,
      ]),
    );
    expect(answers.get('rear')).toBe('re-protect');
    expect(answers.get('roof')).toBe('fine');
    expect(answers.get('wheels-left')).toBe('block');
    expect(answers.has('underbody')).toBe(false);
  });
});
