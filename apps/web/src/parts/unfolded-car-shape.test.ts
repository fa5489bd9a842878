import { describe, expect, it } from '@jest/globals';
import { BODY_CLASSES, CAR_ZONE_IDS, type CarZone } from '@keen/core';
import { type Area, unfoldedShape } from './unfolded-car-shape.js';

const cases = BODY_CLASSES.flatMap((body) =>
  (['beside', 'behind'] as const).map((under) => [body, under] as const),
);

describe('the car laid flat', () => {
  it.each(cases)(
    '%s with its underbody %s has every zone once, and each word on the drawing',
    (body, under) => {
      const { areas, left, top, width, height, bearings } = unfoldedShape(body, under);
      expect(areas.map(({ zone }) => zone).sort()).toEqual([...CAR_ZONE_IDS].sort());
      for (const { path, labelX, labelY } of areas) {
        expect(path).toMatch(/^M.*z/i);
        expect(path).not.toContain('NaN');
        expect(labelX).toBeGreaterThan(left);
        expect(labelX).toBeLessThan(left + width);
        expect(labelY).toBeGreaterThan(top);
        expect(labelY).toBeLessThan(top + height);
      }
      for (const { x, y } of bearings) {
        expect(x).toBeGreaterThanOrEqual(left);
        expect(x).toBeLessThanOrEqual(left + width);
        expect(y).toBeGreaterThanOrEqual(top);
        expect(y).toBeLessThanOrEqual(top + height);
      }
    },
  );

  it.each(BODY_CLASSES)('%s has its nose up, its left on the left, and both sides alike', (body) => {
    const { areas, bearings } = unfoldedShape(body);
    const at = (zone: CarZone): Area => {
      const found = areas.find((area) => area.zone === zone);
      if (!found) throw new Error(`no ${zone}`);
      return found;
    };
    const down = (['front', 'bonnet', 'roof', 'boot', 'rear'] as const).map((zone) => at(zone).labelY);
    expect(down).toEqual(down.toSorted((a, b) => a - b));
    const middle = at('roof').labelX;
    for (const zone of ['upper', 'lower', 'arches', 'wheels'] as const) {
      const [l, r] = [at(`${zone}-left`), at(`${zone}-right`)];
      expect(l.labelX).toBeLessThan(middle);
      expect(r.labelX + l.labelX).toBeCloseTo(2 * middle, 9);
      expect(r.labelY).toBeCloseTo(l.labelY, 9);
    }
    // From the top outwards: upper half, lower half, wheels.
    expect(at('upper-left').labelX).toBeGreaterThan(at('lower-left').labelX);
    expect(at('lower-left').labelX).toBeGreaterThan(at('wheels-left').labelX);
    const [front, left, right] = bearings;
    expect([front?.text, left?.text, right?.text]).toEqual(['FRONT', 'LEFT', 'RIGHT']);
    expect(front?.y).toBeLessThan(at('front').labelY);
    expect(left?.x).toBeLessThan(right?.x ?? -Infinity);
  });

  it.each(BODY_CLASSES)('%s is narrower and longer with its underbody behind the tail', (body) => {
    const [beside, behind] = [unfoldedShape(body, 'beside'), unfoldedShape(body, 'behind')];
    expect(behind.width).toBeLessThan(beside.width);
    expect(behind.height).toBeGreaterThan(beside.height);
    const under = (of: typeof beside): Area | undefined => of.areas.find(({ zone }) => zone === 'underbody');
    expect(under(behind)?.labelY).toBeGreaterThan(
      behind.areas.find(({ zone }) => zone === 'rear')?.labelY ?? Infinity,
    );
    expect(under(beside)?.labelX).toBeGreaterThan(
      beside.areas.find(({ zone }) => zone === 'wheels-right')?.labelX ?? Infinity,
    );
  });

  it('a van has no rear glass in its top, a saloon has', () => {
    const glass = (body: 'van' | 'saloon'): number =>
      (
        unfoldedShape(body)
          .areas.find(({ zone }) => zone === 'glass')
          ?.path.match(/M/g) ?? []
      ).length;
    expect([glass('saloon'), glass('van')]).toEqual([4, 3]);
  });
});
