import { beforeEach, describe, expect, it } from '@jest/globals';
import type { SoilLookRecord } from '@keen/core';
import { SoilController } from './soil.controller.js';

type Needs = ConstructorParameters<typeof SoilController>;

let kept: SoilLookRecord[];
let removals: { id: string; vehicleId: string; atMs: number | null }[];

/** With one look that can be taken away and brought back. */
function controller(estimated: readonly object[] = []) {
  const looks = {
    insert: (rows: SoilLookRecord[]) => {
      kept.push(...rows);
      return Promise.resolve();
    },
    setAllRemoved: (vehicleId: string, ids: string[], atMs: number | null) => {
      const known = ids.filter((id) => id !== 'gone');
      if (known.length === ids.length) removals.push(...ids.map((id) => ({ id, vehicleId, atMs })));
      return Promise.resolve(known);
    },
    setRemoved: (of: { id: string; vehicleId: string }, atMs: number | null) => {
      removals.push({ ...of, atMs });
      return Promise.resolve(of.id === 'known');
    },
  };
  const answers = {
    condition: (vehicleId: string) => {
      if (vehicleId !== 'black') return Promise.reject(new Error('no such vehicle'));
      return Promise.resolve({ estimated });
    },
  };
  return new SoilController(
    looks as unknown as Needs[0],
    answers as unknown as Needs[1],
    { now: () => 42 } as unknown as Needs[2],
  );
}

beforeEach(() => {
  kept = [];
  removals = [];
});

describe('a look at the soil', () => {
  it('is kept with the hour and what was estimated then for that zone and kind', async () => {
    const estimated = [
      { zone: 'roof', kind: 'film', grade: 1 },
      { zone: 'boot', kind: 'grit', grade: 2 },
      { zone: 'roof', kind: 'grit', grade: 3 },
    ];
    const found = await controller(estimated).look('black', { zone: 'roof', kind: 'grit', grade: 0.5 });
    expect(found).toMatchObject({ vehicleId: 'black', zone: 'roof', kind: 'grit', grade: 0.5, atMs: 42 });
    expect(found.estimatedThen).toBe(3);
    expect(kept).toEqual([found]);
    expect(found.id).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('has nothing estimated where the estimate does not know the zone', async () => {
    const { estimatedThen } = await controller().look('black', { zone: 'roof', kind: 'grit', grade: 4 });
    expect(estimatedThen).toBe(0);
  });

  it('of a car that there is not is not kept', async () => {
    await expect(controller().look('none', { zone: 'roof', kind: 'grit', grade: 1 })).rejects.toThrow(
      'no such',
    );
    expect(kept).toEqual([]);
  });

  it('is deleted at this hour and restored, and one that there is not is named', async () => {
    const of = { vehicleId: 'black', id: 'known' };
    await controller().remove(of);
    await controller().restore(of);
    expect(removals).toEqual([
      { ...of, atMs: 42 },
      { ...of, atMs: null },
    ]);
    const unknown = { ...of, id: 'none' };
    await expect(controller().remove(unknown)).rejects.toMatchObject({ status: 404 });
    await expect(controller().restore(unknown)).rejects.toMatchObject({ status: 404 });
  });

  it('at the whole car grades film and grit of every zone in one instant, each against its own estimate', async () => {
    const found = await controller([{ zone: 'rear', kind: 'salt-film', grade: 1.5 }]).lookAtWhole('black', {
      look: 'month',
    });
    expect(kept).toEqual(found);
    expect(new Set(found.map(({ zone, kind }) => `${zone} ${kind}`)).size).toBe(found.length);
    expect(new Set(found.map(({ atMs }) => atMs))).toEqual(new Set([42]));
    const rear = found.find(({ zone, kind }) => zone === 'rear' && kind === 'salt-film');
    expect(rear).toMatchObject({ grade: 5, estimatedThen: 1.5 });
    expect(found.find(({ zone }) => zone === 'roof')).toMatchObject({ grade: 3, estimatedThen: 0 });
  });

  it('at the whole car is deleted and restored in one, or not at all', async () => {
    await controller().removeAll('black', { ids: ['a', 'b'] });
    await controller().restoreAll('black', { ids: ['a'] });
    expect(removals).toEqual([
      { id: 'a', vehicleId: 'black', atMs: 42 },
      { id: 'b', vehicleId: 'black', atMs: 42 },
      { id: 'a', vehicleId: 'black', atMs: null },
    ]);
    await expect(controller().removeAll('black', { ids: ['a', 'gone'] })).rejects.toMatchObject({
      status: 404,
    });
    expect(removals).toHaveLength(3);
  });
});
