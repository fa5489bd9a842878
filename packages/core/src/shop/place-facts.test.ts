import { describe, expect, it } from '@jest/globals';
import type { PlaceRecord } from '../place/index.js';
import { BAY, HEATED_UNIT } from '../testing/shop.js';
import { shopPlaces } from './place-facts.js';

const unit: PlaceRecord = { ...HEATED_UNIT, id: 'unit', name: 'Unit', notes: 'Key', finishAt: null };
const bay = (placeId: string): PlaceRecord => ({
  ...BAY,
  name: 'Bay',
  notes: '',
  finishAt: { placeId, driveMinutes: 6, priceMinor: 500 },
});

describe('the places of a shop as the sums take them', () => {
  it('know the second place in which a wash is ended, and no further one', () => {
    const [first, second] = shopPlaces([
      bay('unit'),
      { ...unit, finishAt: { placeId: 'bay', driveMinutes: 6, priceMinor: 500 } },
    ]);
    expect(first?.finish).toMatchObject({
      driveMinutes: 6,
      priceMinor: 500,
      place: { id: 'unit', climate: unit.climate },
    });
    expect(first?.finish?.place).not.toHaveProperty('finish');
    expect(second?.finish?.place.id).toBe('bay');
  });

  it('have none where it is the place itself or is no longer there', () => {
    expect(shopPlaces([bay('bay'), unit])[0]).not.toHaveProperty('finish');
    expect(shopPlaces([bay('gone'), unit])[0]).not.toHaveProperty('finish');
  });

  it('know nothing of names and notes, so that a new name changes no answer', () => {
    const named = shopPlaces([bay('unit'), unit]);
    const renamed = shopPlaces([bay('unit'), { ...unit, name: 'Barn', notes: '' }]);
    expect(renamed).toEqual(named);
    expect(JSON.stringify(named)).not.toContain('Key');
  });
});
