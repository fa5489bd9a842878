import { describe, expect, it } from '@jest/globals';
import { DEFAULT_LIMITS } from '../rules/index.js';
import type { Candidate } from './band-windows.js';
import { asked } from './asked-windows.js';
import { at, plainExtras, window } from '../testing/plan.js';
import type { AskMembers } from './morning-case.js';
import type { Window } from './window.js';

const plain = (startHour: number, worth: number, methodId = 'a'): Window => {
  const one = window(startHour);
  return { ...one, methodId, isForemost: false, value: { ...one.value, totalMinor: worth } };
};
const alone = (of: Window): Candidate => ({ window: of, less: null, inWay: null });
const withWork = (of: Window): Window => ({
  ...of,
  extras: plainExtras(['underbody']),
  value: { ...of.value, totalMinor: of.value.totalMinor + 500 },
});

type Answer = NonNullable<ReturnType<AskMembers>>;
const answer = (change: Partial<Answer> = {}): Answer =>
  ({
    standing: 'go',
    limiting: { ruleId: 'open-hours', level: 'clear' },
    findings: [],
    wayId: 'whole',
    placeC: null,
    blockedFraction: 0,
    failures: null,
    ...change,
  }) as unknown as Answer;
const ask = (candidates: Candidate[], askMembers: AskMembers): Window[] =>
  asked(candidates, { askMembers, limits: DEFAULT_LIMITS }, null);

describe('starts of an hour', () => {
  it('are asked from the worthiest on, until three of them hold', () => {
    const names: string[] = [];
    const windows = ask(
      [5, 4, 3, 2, 1].map((worth) => alone(plain(9, worth, `m${worth}`))),
      ({ methodId }) => {
        names.push(methodId);
        return answer({ blockedFraction: methodId === 'm4' ? 0.9 : 0 });
      },
    );
    expect(names).toEqual(['m5', 'm4', 'm3', 'm2']);
    // What fails in too many members stands behind, and what was not asked is not foremost.
    expect(windows.map(({ methodId, isForemost }) => [methodId, isForemost])).toEqual([
      ['m5', true],
      ['m3', true],
      ['m2', true],
      ['m1', false],
      ['m4', true],
    ]);
  });

  describe('of a method that was agreed on', () => {
    const agreed = { methodId: 'm1', fromMs: at(9), readyByMs: at(12) };
    const foremost = (agreedWashes: (typeof agreed)[]): string[] =>
      asked(
        [5, 4, 3, 2, 1].map((worth) => alone(plain(9, worth, `m${worth}`))),
        { askMembers: () => answer(), limits: DEFAULT_LIMITS, agreedWashes },
        null,
      )
        .filter(({ isForemost }) => isForemost)
        .map(({ methodId }) => methodId);
    const { startMs, endMs } = plain(9, 1);

    it.each([
      { what: 'within its time', change: {}, isAsked: true },
      { what: 'to the minute', change: { fromMs: startMs, readyByMs: endMs }, isAsked: true },
      { what: 'a minute before it', change: { fromMs: startMs + 60_000 }, isAsked: false },
      { what: 'a minute beyond it', change: { readyByMs: endMs - 60_000 }, isAsked: false },
    ])('are asked $what: $isAsked', ({ change, isAsked }) => {
      expect(foremost([{ ...agreed, ...change }])).toEqual(['m5', 'm4', 'm3', ...(isAsked ? ['m1'] : [])]);
    });

    it('are not asked twice where they are foremost anyway', () => {
      expect(foremost([{ ...agreed, methodId: 'm4' }])).toEqual(['m5', 'm4', 'm3']);
    });
  });

  it('lose the work of the season that they do not go with, and are asked again where they stand then', () => {
    const wash = { ...plain(9, 400), wayId: 'whole' as const, placeC: null };
    const other = { ...plain(9, 600, 'b'), wayId: 'whole' as const, placeC: null };
    const asks: (readonly [string, number])[] = [];
    const windows = ask(
      [{ window: withWork(wash), less: () => alone(wash), inWay: () => withWork(wash) }, alone(other)],
      ({ methodId, extras }) => {
        asks.push([methodId, extras?.jobIds.length ?? 0]);
        return answer({ standing: extras?.jobIds.length ? 'no' : 'go' });
      },
    );
    expect(asks).toEqual([
      ['a', 1],
      ['b', 0],
      ['a', 0],
    ]);
    expect(windows.map(({ methodId, extras }) => [methodId, extras.jobIds.length])).toEqual([
      ['b', 0],
      ['a', 0],
    ]);
  });

  it('keep the work that was agreed on where only the rest does not go', () => {
    const wash = { ...plain(9, 400), wayId: 'whole' as const, placeC: null };
    const agreed: Candidate = {
      window: { ...withWork(wash), extras: plainExtras(['underbody']) },
      less: () => alone(wash),
      inWay: null,
    };
    const both = { ...withWork(wash), extras: plainExtras(['underbody', 'top-up']) };
    const [found] = ask([{ window: both, less: () => agreed, inWay: null }], ({ extras }) =>
      answer({ standing: extras?.jobIds.includes('top-up') ? 'no' : 'go', blockedFraction: null }),
    );
    expect(found?.extras.jobIds).toEqual(['underbody']);
    expect(found).toMatchObject({ verdict: 'go', blockedFraction: null, isForemost: true });
  });

  it('go with their work in the way in which it was judged', () => {
    const wash = { ...plain(9, 400), wayId: 'whole' as const, placeC: -2 };
    const longer = { ...withWork(wash), wayId: 'dry-one-side' as const, endMs: at(12) };
    const [found] = ask(
      [
        {
          window: withWork(wash),
          less: () => alone(wash),
          inWay: ({ wayId, placeC }) => ({ ...longer, wayId, placeC }),
        },
      ],
      () => answer({ standing: 'go-if', wayId: 'dry-one-side', placeC: -2 }),
    );
    expect(found).toMatchObject({ wayId: 'dry-one-side', endMs: at(12), verdict: 'go-if', isForemost: true });
  });
});
