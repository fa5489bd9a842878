import type { Customer, DoneWash, PlaceRecord, VehicleRecord, WashRecord } from '@keen/core';
import type { DriveRecord } from '../records/drives.repository.js';
import type { SoilLookRecord } from '../records/soil-looks.repository.js';
import type { SwabRecord } from '../records/swabs.repository.js';
import type { EngineVehicle } from './engine-job.js';

const MS_PER_MINUTE = 60_000;

/** Notes and names are for people; the engine's answers do not depend on them. */
export const enginePlace = ({ name: _name, notes: _notes, ...place }: PlaceRecord) => place;
const engineFacts = ({
  name: _name,
  colourName: _colour,
  keeper: _keeper,
  notes: _notes,
  knownSinceMs: _since,
  customerId: _customer,
  ...vehicle
}: VehicleRecord) => vehicle;

/** All that was ever noted about vehicles, read at once. */
export interface Notes {
  readonly washes: readonly WashRecord[];
  readonly drives: readonly DriveRecord[];
  readonly swabs: readonly SwabRecord[];
  readonly looks: readonly SoilLookRecord[];
  readonly customers: readonly Pick<Customer, 'id' | 'availability'>[];
}

/** What is read of a done wash; one that is marked done before its minutes have passed is over now. */
function doneWash({ methodId, startMs, minutes, extras, found }: WashRecord, nowMs: number): DoneWash {
  const run = found?.run && { steps: found.run.steps };
  return {
    methodId,
    startMs,
    minutes: Math.min(minutes, Math.max(0, (nowMs - startMs) / MS_PER_MINUTE)),
    extras,
    found: found && {
      spots: found.spots,
      laid: found.laid,
      behaviour: found.behaviour,
      ...(run ? { run } : {}),
    },
  };
}

/** A vehicle with what was noted about it up to an instant, as the engine takes it. */
export function engineVehicle(record: VehicleRecord, notes: Notes, nowMs: number): EngineVehicle {
  const own = <T extends { vehicleId: string }>(rows: readonly T[]): T[] =>
    rows.filter(({ vehicleId }) => vehicleId === record.id);
  return {
    vehicle: engineFacts(record),
    knownSinceMs: record.knownSinceMs,
    availability: notes.customers.find(({ id }) => id === record.customerId)?.availability ?? null,
    washes: own(notes.washes)
      .filter(({ status }) => status === 'done')
      .map((wash) => doneWash(wash, nowMs)),
    drives: own(notes.drives).map(({ hourMs, roadClass, km, meanKmh }) => ({
      hourMs,
      roadClass,
      km,
      meanKmh,
    })),
    readings: own(notes.swabs).map(({ atMs, zone, gramsPerM2 }) => ({ atMs, zone, gramsPerM2 })),
    looks: own(notes.looks).map(({ atMs, zone, kind, grade, estimatedThen }) => ({
      atMs,
      zone,
      kind,
      grade,
      estimatedThen,
    })),
  };
}
