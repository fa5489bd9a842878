import { MS_PER_DAY } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { CadenceTarget } from '../vehicle/index.js';
import { type SaltCourseDay, targetState } from './index.js';

/** So many days from the last wash, salted from one day on, the clock running by so many hours a day. */
const course = (days: number, saltedFrom: number, hoursADay: number): SaltCourseDay[] =>
  Array.from({ length: days }, (_, i) => ({
    atMs: i * MS_PER_DAY,
    activeHours: 100 + i * hoursADay,
    isSalted: i >= saltedFrom,
  }));
const stateOf = (target: CadenceTarget, days: readonly SaltCourseDay[], nowDay = 4) =>
  targetState(target, {
    cadenceDays: 14,
    course: days,
    sinceMs: 0,
    nowMs: nowDay * MS_PER_DAY,
    beganActiveHours: 100,
  });

describe('when a car is wanted again', () => {
  it('by days, counts days', () => {
    expect(stateOf({ kind: 'days' }, [])).toEqual({
      kind: 'days',
      used: 4,
      most: 14,
      dueMs: 14 * MS_PER_DAY,
      everyDays: 14,
    });
  });

  it('by salt days, counts days on which salt lies on it', () => {
    const state = stateOf({ kind: 'salt-days', most: 5 }, course(12, 3, 1));
    expect(state).toMatchObject({ used: 2, most: 5, dueMs: 7 * MS_PER_DAY });
  });

  it('by active hours, counts the clock from the wash on', () => {
    const state = stateOf({ kind: 'active-hours', most: 12 }, course(12, 0, 3));
    expect(state).toMatchObject({ used: 12, dueMs: 4 * MS_PER_DAY });
    expect(state.everyDays).toBeCloseTo(4, 1);
  });

  it('counts from the wash, not from the first morning after it', () => {
    // Washed at noon before the course begins, with the clock at 88; half a day is used by its first morning.
    const used = targetState(
      { kind: 'active-hours', most: 24 },
      {
        cadenceDays: 14,
        course: course(12, 0, 24),
        sinceMs: -MS_PER_DAY / 2,
        nowMs: 0,
        beganActiveHours: 88,
      },
    );
    expect(used).toMatchObject({ used: 12, dueMs: MS_PER_DAY });
  });

  it('goes on at the pace of what is known where the target lies beyond it', () => {
    expect(stateOf({ kind: 'active-hours', most: 66 }, course(12, 0, 3)).dueMs).toBeCloseTo(
      22 * MS_PER_DAY,
      -3,
    );
  });

  it('is wanted after three months at the latest, even without salt', () => {
    const clean = stateOf({ kind: 'salt-days', most: 3 }, course(12, 99, 0));
    expect(clean).toMatchObject({ used: 0, dueMs: 90 * MS_PER_DAY, everyDays: 90 });
    expect(stateOf({ kind: 'active-hours', most: 3 }, []).dueMs).toBe(90 * MS_PER_DAY);
  });

  it('is wanted the sooner the faster the clock runs', () => {
    const due = [1, 2, 3, 6].map(
      (pace) => stateOf({ kind: 'active-hours', most: 20 }, course(30, 0, pace)).dueMs,
    );
    expect([...due].sort((a, b) => b - a)).toEqual(due);
  });
});
