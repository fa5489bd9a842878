import { describe, expect, it, jest } from '@jest/globals';
import { dissolve, SharedTeam, teamBoard } from './shared-team.js';

const nothing = (): void => undefined;

describe('a team that shares a board', () => {
  it('gives each part to one of them only', () => {
    const board = teamBoard(3);
    const [one, other] = [new SharedTeam(board, nothing, nothing), new SharedTeam(board, nothing, nothing)];
    expect([one.take(0), other.take(0), other.take(2), one.take(2), one.take(1)]).toEqual([
      true,
      false,
      true,
      false,
      true,
    ]);
  });

  it('counts what is done by anybody, and waits for no part that is', () => {
    const board = teamBoard(2);
    const look = jest.fn(nothing);
    const [one, other] = [new SharedTeam(board, nothing, look), new SharedTeam(board, nothing, look)];
    other.take(1);
    expect(one.doneCount).toBe(0);
    other.done(1);
    expect([one.doneCount, other.doneCount]).toEqual([1, 1]);
    one.waitFor(1);
    one.waitFor(0);
    expect(look).not.toHaveBeenCalled();
  });

  it('looks whether the work was stopped while it waits', () => {
    const board = teamBoard(1);
    new SharedTeam(board, nothing, nothing).take(0);
    const stopped = new Error('stopped');
    let looks = 0;
    const waiting = new SharedTeam(board, nothing, () => {
      looks += 1;
      if (looks > 1) throw stopped;
    });
    expect(() => waiting.waitFor(0)).toThrow(stopped);
    expect(looks).toBe(2);
  });

  it('frees a thread that waits when one leaves in the middle, or nobody works any more', () => {
    const board = teamBoard(2);
    const [one, other] = [new SharedTeam(board, nothing, nothing), new SharedTeam(board, nothing, nothing)];
    one.take(0);
    other.take(1);
    one.leave();
    other.waitFor(0);
    expect(other.doneCount).toBe(1);
    dissolve(board);
    one.waitFor(1);
    expect(one.take(1)).toBe(false);
    // What nobody had begun is nobody's still.
    const half = teamBoard(2);
    const late = new SharedTeam(half, nothing, nothing);
    late.take(0);
    dissolve(half);
    expect([late.doneCount, late.take(1)]).toEqual([1, true]);
  });

  it('calls the others once', () => {
    const onCall = jest.fn(nothing);
    const team = new SharedTeam(teamBoard(1), onCall, nothing);
    team.call();
    team.call();
    expect(onCall).toHaveBeenCalledTimes(1);
  });
});
