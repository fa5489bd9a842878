import { describe, expect, it } from '@jest/globals';
import { BODY_CLASSES, CAR_ZONE_IDS, type CarZone } from '@keen/core';
import { unfoldedShape } from './unfolded-car-shape.js';
import { type Area } from './unfolded-flank.js';

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

describe('a saloon, drawn from its lengths', () => {
  const beside = unfoldedShape('saloon');
  const behind = unfoldedShape('saloon', 'behind');
  const pathOf = (zone: string, shape = beside): string =>
    shape.areas.find((area) => area.zone === zone)?.path ?? '';
  /** Letters as they are, numbers to a tenth. */
  const plain = (path: string): string =>
    path.replace(/-?\d+(?:\.\d+)?(?:e-\d+)?/g, (number) => String(Math.round(Number(number) * 10) / 10));

  it.each([
    ['bonnet', 'M0 59h62v78h-62z'],
    ['roof', 'M86 59h62v78h-62z'],
    ['boot', 'M166 59h48v78h-48z'],
    ['front', 'M-7 59h-12a10 10 0 0 0 -10 10v58a10 10 0 0 0 10 10h12z'],
    ['rear', 'M221 59h12a10 10 0 0 1 10 10v58a10 10 0 0 1 -10 10h-12z'],
    ['glass', 'M62 64h24v68h-24zM148 64h18v68h-18zM57.8 32.2h98.4v14.6h-98.4zM57.8 149.2h98.4v14.6h-98.4z'],
    ['upper-left', 'M0 26h214v26h-214z'],
    ['upper-right', 'M0 144h214v26h-214z'],
    ['lower-left', 'M0 0h214v20.8h-214z'],
    ['lower-right', 'M0 175.2h214v20.8h-214z'],
    ['trim', 'M0 20.8h214v5.2h-214zM0 170h214v5.2h-214z'],
    ['underbody', 'M21.4 229h171.2v94h-171.2z'],
  ])('has its %s where it is', (zone, path) => {
    expect(plain(pathOf(zone))).toBe(path);
  });

  it('has arches over wheels that stand at the sills', () => {
    expect(plain(pathOf('arches-right'))).toMatch(
      /^M21\.4 196A19\.2 19\.2 0 0 1 59\.9 196H54\.1A13\.5 13\.5 0 0 0 27\.2 196zM152 196A19\.2 19\.2 0 0 1 190\.4 196/,
    );
    expect(plain(pathOf('arches-left'))).toMatch(
      /^M21\.4 0A19\.2 19\.2 0 0 0 59\.9 0H54\.1A13\.5 13\.5 0 0 1 27\.2 0z/,
    );
    expect(plain(pathOf('wheels-right'))).toBe(
      'M28.7 196a12 12 0 1 0 23.9 0a12 12 0 1 0 -23.9 0zM159.2 196a12 12 0 1 0 23.9 0a12 12 0 1 0 -23.9 0z',
    );
  });

  it('has its underbody behind the tail where there is no room beside, and room for all of it', () => {
    expect(plain(pathOf('underbody', behind))).toBe('M264 51h171.2v94h-171.2z');
    const sizes = ({ left, top, width, height }: typeof beside) =>
      [left, top, width, height].map((size) => Math.round(size * 10) / 10);
    expect(sizes(beside)).toEqual([-26, -43, 348.9, 286]);
    expect(sizes(behind)).toEqual([-26, -43, 247.9, 478.2]);
  });

  it('marks its axles and the shaft between them, and says which way round it is', () => {
    expect(beside.marks.map(plain)).toEqual(['M55.6 241V311M158.4 241V311M55.6 290h102.7']);
    const words = beside.bearings.map(({ text, x, y, turnDeg }) => [
      text,
      Math.round(x),
      Math.round(y),
      turnDeg,
    ]);
    expect(words).toEqual([
      ['FRONT', 98, -36, 0],
      ['LEFT', -19, 107, -90],
      ['RIGHT', 215, 107, 90],
    ]);
  });

  it('has its labels inside what they name', () => {
    const labels = Object.fromEntries(
      beside.areas.map(({ zone, labelX, labelY }) => [zone, [labelX, labelY].map(Math.round)]),
    );
    expect(labels).toMatchObject({
      bonnet: [98, 31],
      roof: [98, 117],
      boot: [98, 190],
      glass: [98, 74],
      front: [98, -18],
      rear: [98, 232],
      'upper-left': [39, 34],
      'upper-right': [157, 34],
      'lower-left': [10, 106],
      'lower-right': [186, 106],
      'wheels-left': [0, 41],
      'arches-right': [188, 156],
      trim: [23, 133],
      underbody: [276, 107],
    });
  });
});
