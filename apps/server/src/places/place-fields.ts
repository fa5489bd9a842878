import { hasLength, type PlaceClimate, type PlaceRecord, type Shelter } from '@keen/core';
import { badField } from '../errors/api-error.js';
import type { CreatePlaceDto, UpdatePlaceDto } from './place.dto.js';
import type { ClimateDto, ShelterDto } from './place-parts.dto.js';

function climateOf(dto: ClimateDto): PlaceClimate {
  const { kind, setpointC, relHumidityFraction = null, usualC = null, readC = null, readAtMs = null } = dto;
  if (kind === 'heated') return { kind, setpointC: setpointC ?? 15, relHumidityFraction };
  if (kind !== 'unheated') return { kind };
  return {
    kind,
    relHumidityFraction,
    ...(usualC === null ? {} : { usualC }),
    ...(readC === null ? {} : { readC, readAtMs }),
  };
}

function shelterOf({ kind, horizon, openings }: ShelterDto): Shelter {
  if (kind === 'open') return { kind, horizon: horizon ?? [] };
  return kind === 'roofed' ? { kind, openings: openings ?? [] } : { kind };
}

/** Opening must come before closing; the field is named with its weekday. */
function requireOpenHours(openHours: CreatePlaceDto['openHours']): void {
  openHours.forEach((span, weekday) => {
    if (span && !hasLength(span)) {
      throw badField(
        `openHours.${weekday}.closeMinute`,
        `openHours.${weekday}: it closes as it opens; the whole day is 0 to 1440.`,
      );
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
    tariff: null,
    queue: null,
    forbids: [],
    finishAt: null,
    mostMinutes: null,
    dryingSpot: '',
    siteSoap: 'ordinary',
    bucketWater: 'brought',
    ...dto,
    carsAtOnce: dto.carsAtOnce ?? 1,
    climate: climateOf(dto.climate),
    shelter: shelterOf(dto.shelter),
  };
}
