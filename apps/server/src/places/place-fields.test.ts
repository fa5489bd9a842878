import { describe, expect, it } from '@jest/globals';
import { newPlaceFields, placeFields } from './place-fields.js';
import type { CreatePlaceDto, UpdatePlaceDto } from './place.dto.js';

const PLACE = {
  name: 'Unit',
  kind: 'heated-unit',
  climate: { kind: 'heated', setpointC: 14 },
  shelter: { kind: 'indoors' },
  openHours: Array.from({ length: 7 }, () => ({ openMinute: 480, closeMinute: 1080 })),
} as unknown as CreatePlaceDto;

describe('the air of a place', () => {
  it.each([
    {
      climate: { kind: 'heated', setpointC: 9 },
      kept: { kind: 'heated', setpointC: 9, relHumidityFraction: null },
    },
    { climate: { kind: 'heated' }, kept: { kind: 'heated', setpointC: 15, relHumidityFraction: null } },
    {
      climate: { kind: 'heated', setpointC: 0, relHumidityFraction: 0.4 },
      kept: { kind: 'heated', setpointC: 0, relHumidityFraction: 0.4 },
    },
    { climate: { kind: 'unheated', setpointC: 9 }, kept: { kind: 'unheated', relHumidityFraction: null } },
    {
      climate: { kind: 'unheated', relHumidityFraction: 0.8 },
      kept: { kind: 'unheated', relHumidityFraction: 0.8 },
    },
    { climate: { kind: 'outdoors', setpointC: 9, relHumidityFraction: 0.5 }, kept: { kind: 'outdoors' } },
    { climate: { kind: 'open-bay' }, kept: { kind: 'open-bay' } },
  ])('$climate is kept as $kept', ({ climate, kept }) => {
    expect(placeFields({ climate } as UpdatePlaceDto).climate).toEqual(kept);
    expect(newPlaceFields({ ...PLACE, climate } as CreatePlaceDto).climate).toEqual(kept);
  });
});

describe('the shelter of a place', () => {
  const horizon = [{ azimuthDeg: 90, elevationDeg: 10 }];
  const openings = [{ fromDeg: 1, toDeg: 2, topElevationDeg: 3 }];
  it.each([
    { shelter: { kind: 'open', horizon, openings }, kept: { kind: 'open', horizon } },
    { shelter: { kind: 'open' }, kept: { kind: 'open', horizon: [] } },
    { shelter: { kind: 'roofed', horizon, openings }, kept: { kind: 'roofed', openings } },
    { shelter: { kind: 'roofed' }, kept: { kind: 'roofed', openings: [] } },
    { shelter: { kind: 'indoors', horizon, openings }, kept: { kind: 'indoors' } },
  ])('$shelter is kept as $kept', ({ shelter, kept }) => {
    expect(placeFields({ shelter } as UpdatePlaceDto).shelter).toEqual(kept);
  });
});

describe('a change of a place', () => {
  it('is what was sent, and nothing else', () => {
    expect(placeFields({ name: 'North', finishAt: null })).toEqual({
      name: 'North',
      finishAt: null,
    });
    expect(placeFields({})).toEqual({});
  });

  it.each([
    { span: { openMinute: 480, closeMinute: 480 }, refused: true },
    { span: { openMinute: 480, closeMinute: 481 }, refused: false },
    { span: { openMinute: 1320, closeMinute: 300 }, refused: false },
    { span: null, refused: false },
  ])('with $span on a day is refused: $refused', ({ span, refused }) => {
    const openHours = PLACE.openHours.map((day, i) => (i === 3 ? span : day));
    const made = [() => placeFields({ openHours }), () => newPlaceFields({ ...PLACE, openHours })];
    for (const one of made) {
      if (!refused) expect(one().openHours).toEqual(openHours);
      else
        expect(one).toThrow(
          expect.objectContaining({
            response: expect.objectContaining({
              error: expect.objectContaining({ field: 'openHours.3.closeMinute' }),
            }),
          }),
        );
    }
  });
});

describe('a new place', () => {
  it('has room for one car, no meter, no queue and nothing forbidden, where nothing is said', () => {
    expect(newPlaceFields(PLACE)).toMatchObject({
      notes: '',
      finalRinse: null,
      tariff: null,
      queue: null,
      forbids: [],
      finishAt: null,
      carsAtOnce: 1,
    });
    const said = { notes: 'Key', carsAtOnce: 3, forbids: ['no-contact'], finishAt: { placeId: 'b' } };
    expect(newPlaceFields({ ...PLACE, ...said } as unknown as CreatePlaceDto)).toMatchObject(said);
  });
});
