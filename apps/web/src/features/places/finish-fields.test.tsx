import { describe, expect, it } from '@jest/globals';
import type { PlaceRecord } from '@keen/core';
import { fireEvent, screen } from '@testing-library/react';
import { show } from '../../testing/show.js';
import { FinishFields } from './finish-fields.js';
import { newPlace, type PlaceDraft } from '../../drafts/place-draft.js';

const unit = {
  id: 'unit',
  name: 'Warm unit',
  latitudeDeg: 46.55,
  longitudeDeg: -84.3,
  methods: [
    { methodId: 'waterless', priceMinor: 900 },
    { methodId: 'garage-rinseless', priceMinor: 1400 },
  ],
} as unknown as PlaceRecord;

function open(
  change: Partial<PlaceDraft>,
  errors: Record<string, string> = {},
  second: PlaceRecord = unit,
): Partial<PlaceDraft>[] {
  const changes: Partial<PlaceDraft>[] = [];
  const draft = { ...newPlace('America/Toronto', { latitudeDeg: 46.5, longitudeDeg: -84.3 }), ...change };
  show(
    <FinishFields
      draft={draft}
      set={(one) => changes.push(one)}
      errors={errors}
      currency="CAD"
      seconds={[second]}
    />,
  );
  return changes;
}

describe('where a wash that begins here is finished', () => {
  it('asks for no drive where it is finished nowhere else', () => {
    open({});
    expect(screen.queryByLabelText(/Drive from here to there/)).toBeNull();
  });

  it('guesses the drive from the map and takes the place’s lowest price when one is chosen', async () => {
    const changes = open({});
    fireEvent.click(screen.getByRole('combobox', { name: /finished at/ }));
    fireEvent.click(await screen.findByText('Warm unit'));
    expect(changes).toEqual([{ finishPlaceId: 'unit', finishMinutes: 16, finishMinor: 900 }]);
  });

  it('guesses nothing where this place is not on the map yet', async () => {
    const changes = open({ latitudeDeg: null });
    fireEvent.click(screen.getByRole('combobox', { name: /finished at/ }));
    fireEvent.click(await screen.findByText('Warm unit'));
    expect(changes).toEqual([{ finishPlaceId: 'unit', finishMinutes: null, finishMinor: 900 }]);
  });

  it('guesses no price of a place that has no method yet', async () => {
    const changes = open({}, {}, { ...unit, methods: [] });
    fireEvent.click(screen.getByRole('combobox', { name: /finished at/ }));
    fireEvent.click(await screen.findByText('Warm unit'));
    expect(changes).toEqual([{ finishPlaceId: 'unit', finishMinutes: 16, finishMinor: null }]);
  });

  it('shows what is wrong at its field', () => {
    open({ finishPlaceId: 'unit' }, { finishMinutes: 'From 0 to 120 minutes.' });
    expect(screen.getByText('From 0 to 120 minutes.')).toBeTruthy();
  });
});
