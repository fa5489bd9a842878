import type { Place, PlaceAlone, PlaceRecord } from '../place/index.js';

/** A place as it is kept, or as a test or the demo writes it down. */
type Kept = Omit<PlaceRecord, 'finishAt'> & Partial<Pick<PlaceRecord, 'finishAt'>>;

/** Notes and names are for people; the answers do not depend on them. */
const bare = ({ name: _name, notes: _notes, finishAt: _finishAt, ...place }: Kept): PlaceAlone => place;

/**
 * The shop's places as the sums take them: each with the second place in which what begins there may end.
 *
 * @param records all that there are; a second place that is not among them, or is the place itself, is none
 */
export function shopPlaces(records: readonly Kept[]): Place[] {
  return records.map((record): Place => {
    const { finishAt } = record;
    const second = finishAt && records.find(({ id }) => id === finishAt.placeId);
    if (!finishAt || !second || second.id === record.id) return bare(record);
    const { driveMinutes, priceMinor } = finishAt;
    return { ...bare(record), finish: { place: bare(second), driveMinutes, priceMinor } };
  });
}
