import { describe, expect, it } from '@jest/globals';
import { guessedDriveMinutes } from './index.js';

const at = (latitudeDeg: number, longitudeDeg: number) => ({ latitudeDeg, longitudeDeg });

describe('a first guess of the drive to a second place', () => {
  it.each([
    { why: 'next door', to: at(46.5, -84.3), minutes: 2 },
    // A minute of latitude is a nautical mile, 1.852 km.
    { why: 'three nautical miles north', to: at(46.55, -84.3), minutes: 16 },
    { why: 'as many minutes of longitude, shorter by the cosine', to: at(46.5, -84.25), minutes: 11 },
  ])('$why: $minutes min', ({ to, minutes }) => {
    expect(guessedDriveMinutes(at(46.5, -84.3), to)).toBe(minutes);
  });

  it('is the same there and back', () => {
    expect(guessedDriveMinutes(at(46.6, -84.1), at(46.5, -84.3))).toBe(
      guessedDriveMinutes(at(46.5, -84.3), at(46.6, -84.1)),
    );
  });
});
