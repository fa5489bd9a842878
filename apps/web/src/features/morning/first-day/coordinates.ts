/** A point on the earth, degrees north and east. */
export interface Coordinates {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** What can be wrong with coordinates as they are typed. */
export type CoordinatesFault = 'missing' | 'two-numbers' | 'swapped' | 'out-of-range';

const BEHIND = /(?<digits>[+\-−]?\d+(?:[.,]\d+)?)\s*°?\s*(?<side>[NSEW])?/giu;
const AHEAD = /(?<side>[NSEW])?\s*(?<digits>[+\-−]?\d+(?:[.,]\d+)?)/giu;
const MOST_LATITUDE = 90;
const MOST_LONGITUDE = 180;

interface Read {
  readonly degrees: number;
  /** "N", "S", "E" or "W"; empty: not said. */
  readonly side: string;
}

function readNumbers(text: string): Read[] {
  // A comma between two numbers with points parts them; with a semicolon or a space beside it, it may be the decimal mark.
  const parted = /\d\.\d/.test(text) ? text.replaceAll(',', ' ; ') : text.replace(/,\s+/, ' ; ');
  const leads = /^\s*[NSEW]/iu.test(text);
  return [...parted.matchAll(leads ? AHEAD : BEHIND)].map(({ groups }) => {
    const side = groups?.side?.toUpperCase() ?? '';
    const degrees = Number(groups?.digits?.replace(',', '.').replace('−', '-'));
    return { degrees: side === 'S' || side === 'W' ? -Math.abs(degrees) : degrees, side };
  });
}

/**
 * Coordinates as people paste them: "44.23, -76.49", "44.23 N 76.49 W", "44,23; −76,49".
 *
 * @returns the point, or what is wrong: north comes first unless the letters say otherwise
 */
export function readCoordinates(text: string): Coordinates | CoordinatesFault {
  if (text.trim() === '') return 'missing';
  const [first, second, ...others] = readNumbers(text);
  if (!first || !second || others.length > 0) return 'two-numbers';
  const isEastFirst = 'EW'.includes(first.side || '-') || 'NS'.includes(second.side || '-');
  const [north, east] = isEastFirst ? [second, first] : [first, second];
  const fits = (latitude: number, longitude: number): boolean =>
    Math.abs(latitude) <= MOST_LATITUDE && Math.abs(longitude) <= MOST_LONGITUDE;
  if (fits(north.degrees, east.degrees)) return { latitudeDeg: north.degrees, longitudeDeg: east.degrees };
  return fits(east.degrees, north.degrees) ? 'swapped' : 'out-of-range';
}

export const COORDINATES_FAULTS: Readonly<Record<CoordinatesFault, string>> = {
  missing: 'Paste two numbers, or use where you are now.',
  'two-numbers': 'Two numbers, north first: 44.23, −76.49.',
  swapped: 'North is at most 90: the two look swapped.',
  'out-of-range': 'North from −90 to 90, east from −180 to 180.',
};
