import { beforeEach, describe, expect, it } from '@jest/globals';
import type { RunRecord, WashFound, WashRecord } from '@keen/core';
import type { LogWashDto } from './wash.dto.js';
import { WashesService } from './washes.service.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = 3_600_000;

const FOUND: WashFound = { icePanels: [], spots: 'none', leftovers: '', note: '' } as unknown as WashFound;
const USED = { products: [], folded: 4 } as unknown as NonNullable<WashFound['used']>;
const USUAL = { used: { usual: true }, laid: ['usual'] } as unknown as Pick<WashFound, 'used' | 'laid'>;

const wash = (change: Partial<WashRecord> = {}): WashRecord =>
  ({
    id: 'w',
    vehicleId: 'black',
    placeId: 'bay',
    methodId: 'bay-contact',
    status: 'planned',
    startMs: NOW - 2 * HOUR,
    minutes: 60,
    workerId: 'helper',
    isLocked: true,
    startedMs: null,
    extras: ['underbody'],
    costMinor: null,
    predicted: { verdict: 'go' },
    found: null,
    ...change,
  }) as unknown as WashRecord;
const done = (change: Partial<WashFound> = {}): WashRecord =>
  wash({ status: 'done', costMinor: 900, found: { ...FOUND, ...change } });

/** What the store, the plan and the kit were told, in order. */
let told: unknown[];
let kept: WashRecord[];
let removed: WashRecord[];

beforeEach(() => {
  told = [];
  kept = [wash()];
  removed = [];
});

function service(): WashesService {
  const find = (rows: WashRecord[], id: string) => Promise.resolve(rows.find((row) => row.id === id) ?? null);
  const tell = (...what: unknown[]) => Promise.resolve(void told.push(what));
  const parts = [
    {
      inTurn: <T>(work: () => Promise<T>) => work(),
      find: (id: string) => find(kept, id),
      findRemoved: (id: string) => find(removed, id),
      update: (id: string, change: object) => tell('update', id, change),
      change: (change: object, writes: unknown[] = []) => tell('change', change, writes),
    },
    { read: (id: string) => Promise.resolve({ id, knownSinceMs: NOW - 100 * HOUR }) },
    {
      read: (id: string) => (id === 'gone' ? Promise.reject(new Error('no place')) : Promise.resolve({ id })),
    },
    {
      apply: (changes: { add?: unknown[]; move?: { id: string }[]; restore?: string[] }) => {
        told.push(['apply', changes]);
        return Promise.resolve({
          added: (changes.add ?? []).map(() => wash({ id: 'added' })),
          moved: (changes.move ?? []).map(() => ({ before: wash(), after: wash({ id: 'moved' }) })),
          restored: (changes.restore ?? []).map(() => wash({ id: 'restored' })),
        });
      },
    },
    {
      usual: (of: WashRecord) => {
        told.push(['usual', of.methodId]);
        return Promise.resolve(USUAL);
      },
      take: ({ methodId }: WashRecord, used: unknown) => {
        told.push(['take', methodId, used]);
        return Promise.resolve({ taken: { of: methodId }, writes: ['taken'] });
      },
      takeAgain: (before: WashRecord, { methodId }: { methodId: string }) => {
        told.push(['take again', before.id]);
        return Promise.resolve({ taken: { of: methodId }, writes: ['given', 'taken'] });
      },
      giveBack: (of: WashRecord) => {
        told.push(['give back', of.id]);
        return Promise.resolve(['given']);
      },
    },
    { now: () => NOW },
  ];
  return new WashesService(...(parts as unknown as ConstructorParameters<typeof WashesService>));
}

const refused = async (work: Promise<unknown>, field: string): Promise<void> => {
  await expect(work).rejects.toMatchObject({ response: { error: { field } } });
};
/** The last change of the store: what it wrote and what went with it. */
const lastChange = () => {
  const change = told.findLast((one) => (one as unknown[])[0] === 'change') as [
    string,
    { insert?: WashRecord[]; update?: WashRecord[]; setRemoved?: unknown },
    unknown[],
  ];
  return { ...change[1], writes: change[2] };
};

describe('a planned wash', () => {
  it('is read by its id, and nothing else is', async () => {
    expect(await service().read('w')).toEqual(wash());
    await refused(service().read('none'), 'wash');
  });

  it('is planned and moved as a change of the plan', async () => {
    const dto = { vehicleId: 'black', placeId: 'bay', methodId: 'bay-contact', startMs: NOW };
    expect((await service().plan(dto)).id).toBe('added');
    expect((await service().move('w', { startMs: NOW })).id).toBe('moved');
    expect(told).toEqual([
      ['apply', { add: [dto] }],
      ['apply', { move: [{ id: 'w', startMs: NOW }] }],
    ]);
  });

  it('is locked and begun without being moved', async () => {
    expect(await service().move('w', { isLocked: false })).toEqual(wash({ isLocked: false }));
    expect(await service().move('w', { startedMs: NOW })).toEqual(wash({ startedMs: NOW }));
    expect(told).toEqual([
      ['update', 'w', { isLocked: false, startedMs: null }],
      ['update', 'w', { isLocked: true, startedMs: NOW }],
    ]);
    kept = [done()];
    await refused(service().move('w', { isLocked: false }), 'status');
  });
});

describe('a wash that is done', () => {
  const finish = (change: object = {}) => ({
    methodId: 'bay-touch-free',
    startMs: NOW - HOUR,
    minutes: 44,
    costMinor: 700,
    found: { ...FOUND, used: USED },
    ...change,
  });

  it('keeps how it was planned, takes what it used, and both are written at once', async () => {
    const after = await service().finish('w', finish());
    expect(after).toEqual({
      ...wash(),
      methodId: 'bay-touch-free',
      startMs: NOW - HOUR,
      minutes: 44,
      costMinor: 700,
      status: 'done',
      found: {
        ...FOUND,
        used: USED,
        taken: { of: 'bay-touch-free' },
        planned: { startMs: NOW - 2 * HOUR, minutes: 60, methodId: 'bay-contact', extras: ['underbody'] },
      },
    });
    expect(told).toContainEqual(['take', 'bay-touch-free', USED]);
    expect(lastChange()).toEqual({ update: [after], writes: ['taken'] });
  });

  it('used what the method that was done uses, where nobody counted', async () => {
    const after = await service().finish('w', finish({ found: FOUND, extras: [] }));
    expect(told).toContainEqual(['usual', 'bay-touch-free']);
    expect(after.found).toMatchObject(USUAL);
    expect(after.extras).toEqual([]);
  });

  it('is not done twice, nor ahead of time', async () => {
    await refused(service().finish('w', finish({ startMs: NOW + 1 })), 'startMs');
    await service().finish('w', finish({ startMs: NOW }));
    kept = [done()];
    await refused(service().finish('w', finish()), 'status');
  });

  it('is logged as one that nobody planned', async () => {
    const dto = { ...finish(), vehicleId: 'black', placeId: 'bay' } as unknown as LogWashDto;
    const record = await service().log(dto);
    expect(record).toMatchObject({
      status: 'done',
      workerId: 'owner',
      isLocked: false,
      startedMs: null,
      predicted: null,
      extras: [],
      found: { used: USED, taken: { of: 'bay-touch-free' } },
    });
    expect(record.id).not.toBe('');
    expect(lastChange()).toEqual({ insert: [record], writes: ['taken'] });
    await expect(service().log({ ...dto, placeId: 'gone' })).rejects.toThrow('no place');
    await refused(service().log({ ...dto, startMs: NOW + 1 }), 'startMs');
  });

  it('gets the record of its run, where it is done', async () => {
    const run = { steps: [] } as unknown as RunRecord;
    await service().addRun('w', run);
    expect(told).toEqual([]);
    kept = [done()];
    await service().addRun('w', run);
    expect(told).toEqual([['update', 'w', { found: { ...FOUND, run } }]]);
  });

  it('is amended in one act: all comes back, and what is so now is taken', async () => {
    const planned = { startMs: 1, minutes: 2, methodId: 'bay-contact', extras: [] };
    kept = [done({ planned, taken: { isCounted: true } as unknown as WashFound['taken'] })];
    await service().amend('w', finish());
    expect(told.map((one) => (one as unknown[])[0])).toEqual(['take again', 'change']);
    expect(lastChange().update?.[0]).toMatchObject({
      minutes: 44,
      extras: ['underbody'],
      found: { planned, taken: { of: 'bay-touch-free' } },
    });
    expect(lastChange().writes).toEqual(['given', 'taken']);
  });

  it('is not amended where it is planned again', async () => {
    await service().amend('w', finish());
    kept = [wash({ status: 'done' })];
    await service().amend('w', finish());
    expect(told).toEqual([]);
  });
});

describe('a wash that is opened, taken away or brought back', () => {
  const planned = { startMs: 1, minutes: 2, methodId: 'bay-touch-free', extras: [] };

  it('is planned as it was, and the kit gets back what was taken', async () => {
    kept = [done({ planned })];
    const after = await service().reopen('w');
    expect(after).toMatchObject({ ...planned, status: 'planned', found: null, costMinor: null });
    expect(lastChange()).toEqual({ update: [after], writes: ['given'] });
  });

  it('gives nothing back where nothing was taken', async () => {
    await service().reopen('w');
    expect(lastChange().writes).toEqual([]);
    await service().remove('w');
    expect(lastChange()).toEqual({ setRemoved: [{ id: 'w', removedMs: NOW }], update: [], writes: [] });
  });

  it('is opened on its run where that closed it', async () => {
    kept = [done({ run: {} as RunRecord })];
    await refused(service().reopenAtDesk('w'), 'status');
    kept = [done({ planned })];
    expect((await service().reopenAtDesk('w')).status).toBe('planned');
  });

  it('takes its product out of the kit again when it comes back done, and is checked when it is planned', async () => {
    kept = [done()];
    await service().remove('w');
    expect(lastChange().writes).toEqual(['given']);
    removed = [done({ used: USED })];
    const back = await service().restore('w');
    expect(told).toContainEqual(['take', 'bay-contact', USED]);
    expect(back.found?.taken).toEqual({ of: 'bay-contact' });
    expect(lastChange()).toEqual({
      update: [back],
      setRemoved: [{ id: 'w', removedMs: null }],
      writes: ['taken'],
    });
    removed = [wash()];
    expect((await service().restore('w')).id).toBe('restored');
    removed = [wash({ status: 'done' })];
    expect((await service().restore('w')).found).toBeNull();
    await refused(service().restore('none'), 'wash');
  });
});
