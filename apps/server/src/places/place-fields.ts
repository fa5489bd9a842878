import type { PlaceClimate, PlaceRecord, Shelter } from '@keen/core';
import { badField } from '../errors/api-error.js';
import type { ClimateDto, CreatePlaceDto, ShelterDto, UpdatePlaceDto } from './place.dto.js';

function climateOf({ kind, setpointC }: ClimateDto): PlaceClimate {
  return kind === 'heated' ? { kind, setpointC: setpointC ?? 15 } : { kind };
}

function shelterOf({ kind, horizon, openings }: ShelterDto): Shelter {
  if (kind === 'open') return { kind, horizon: horizon ?? [] };
  return kind === 'roofed' ? { kind, openings: openings ?? [] } : { kind };
}

/** Opening must come before closing; the field is named with its weekday. */
function requireOpenHours(openHours: CreatePlaceDto['openHours']): void {
  openHours.forEach((span, weekday) => {
    if (span && span.closeMinute <= span.openMinute) {
      throw badField(`openHours.${weekday}.closeMinute`, `openHours.${weekday}: it closes before it opens.`);
    }
  });
}

/** The checked request as the fields of a record. */
export function placeFields(dto: UpdatePlaceDto): Partial<Omit<PlaceRecord, 'id'>> {
  const { climate, shelter, ...plain } = dto;
  if (plain.openHours) requireOpenHours(plain.openHours);
  return {
    ...plain,
    ...(climate ? { climate: climateOf(climate) } : {}),
    ...(shelter ? { shelter: shelterOf(shelter) } : {}),
  };
}

/** The same for a whole place. */
export function newPlaceFields(dto: CreatePlaceDto): Omit<PlaceRecord, 'id'> {
  requireOpenHours(dto.openHours);
  return {
    notes: '',
    finalRinse: null,
    ...dto,
    climate: climateOf(dto.climate),
    shelter: shelterOf(dto.shelter),
  };
}
