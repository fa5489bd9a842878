import { describe, expect, it } from '@jest/globals';
import { ConflictException } from '@nestjs/common';
import { requireUnchanged } from './unchanged.js';

const faults = (record: object, was?: Record<string, unknown>): unknown => {
  try {
    requireUnchanged(record, was);
    return [];
  } catch (error) {
    if (!(error instanceof ConflictException)) throw error;
    const { error: first } = error.getResponse() as { error: { field: string; others: { field: string }[] } };
    return [first.field, ...first.others.map(({ field }) => field)];
  }
};

describe('what a form read', () => {
  const record = { name: 'A', litres: 3, tags: ['x', 'y'], place: { id: 'p', note: undefined }, gone: null };

  it.each([
    { why: 'nothing is asked', was: undefined },
    { why: 'all is as it was read', was: { name: 'A', litres: 3, tags: ['x', 'y'], gone: null } },
    { why: 'what is undefined here travelled as nothing', was: { place: { id: 'p' } } },
    { why: 'a field that the record does not have is passed over', was: { colour: 'red' } },
  ])('stands where $why', ({ was }) => {
    expect(faults(record, was)).toEqual([]);
  });

  it.each([
    { was: { name: 'B' }, fields: ['name'] },
    { was: { litres: 3.5, name: 'A' }, fields: ['litres'] },
    { was: { tags: ['y', 'x'] }, fields: ['tags'] },
    { was: { gone: 0 }, fields: ['gone'] },
    { was: { place: { id: 'q' }, name: 'B' }, fields: ['place', 'name'] },
  ])('is said field by field where it changed: $fields', ({ was, fields }) => {
    expect(faults(record, was)).toEqual(fields);
  });
});
