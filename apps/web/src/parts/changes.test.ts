import { describe, expect, it } from '@jest/globals';
import { changedFields, readBefore } from './changes.js';

describe('what was changed of a form', () => {
  it.each([
    { before: { a: 1, b: 'x' }, after: { a: 1, b: 'x' }, changed: {} },
    { before: { a: 1, b: 'x' }, after: { a: 2, b: 'x' }, changed: { a: 2 } },
    { before: { a: [1, 2] }, after: { a: [1, 2] }, changed: {} },
    { before: { a: [1, 2] }, after: { a: [2, 1] }, changed: { a: [2, 1] } },
    { before: { a: null as number | null }, after: { a: 0 }, changed: { a: 0 } },
    { before: { a: 0 as number | null }, after: { a: null }, changed: { a: null } },
    { before: {}, after: { a: 1 }, changed: { a: 1 } },
  ])('$before to $after is $changed', ({ before, after, changed }) => {
    expect(changedFields<object>(before, after)).toEqual(changed);
  });

  it('is sent with what the record said of just those fields', () => {
    const record = { id: 'v', name: 'Old', notes: '' };
    expect(readBefore(record, { name: 'New', colour: 'red' })).toEqual({ name: 'Old' });
    expect(readBefore(record, {})).toEqual({});
  });

  it.each([null, undefined, 'a name', 7])('has nothing before where %p was read', (record) => {
    expect(readBefore(record, { name: 'New' })).toBeUndefined();
  });
});
