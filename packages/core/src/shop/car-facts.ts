import type { CarNotes } from './car-notes.js';
import type { CarFacts } from './shop-facts.js';
import type { DoneWash, WashRecord } from '../log/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { VehicleRecord } from '../vehicle/index.js';

/** Notes and names are for people; the answers do not depend on them. */
const vehicleFacts = ({
  name: _name,
  colourName: _colour,
  keeper: _keeper,
  notes: _notes,
  knownSinceMs: _since,
  washedBefore: _before,
  customerId: _customer,
  ...vehicle
}: VehicleRecord) => vehicle;

/** What is read of a done wash; one that is marked done before its minutes have passed is over now. */
function doneWash(
  { methodId, placeId, startMs, minutes, extras, found, predicted }: WashRecord,
  nowMs: number,
): DoneWash {
  const run = found?.run && { steps: found.run.steps };
  return {
    methodId,
    placeId,
    startMs,
    minutes: Math.min(minutes, Math.max(0, (nowMs - startMs) / MS_PER_MINUTE)),
    extras,
    ...(predicted?.wayId ? { predicted: { wayId: predicted.wayId } } : {}),
    found: found && {
      spots: found.spots,
      laid: found.laid,
      behaviour: found.behaviour,
      ...(run ? { run } : {}),
    },
  };
}

/** A vehicle with what was noted about it up to an instant, as the sums take it. */
export function carFacts(record: VehicleRecord, notes: CarNotes, nowMs: number): CarFacts {
  const own = <T extends { vehicleId: string }>(rows: readonly T[]): T[] =>
    rows.filter(({ vehicleId }) => vehicleId === record.id);
  return {
    vehicle: vehicleFacts(record),
    knownSinceMs: record.knownSinceMs,
    washedBefore: record.washedBefore,
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
