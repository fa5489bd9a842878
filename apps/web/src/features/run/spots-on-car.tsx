import { spotStanding } from '@keen/core';
import { Link } from 'react-router';
import { useSpots } from '../../api/spot-queries.js';
import { Failed } from '../../parts/states.js';
import { spotText } from '../../words/clinic-words.js';
import classes from './left-on.module.css';

/** Spots on the car's record that are not gone: a wash does not take them off, and may make more. */
export function SpotsOnCar({ vehicleId }: { readonly vehicleId: string }) {
  const { data: records = [], error } = useSpots(vehicleId);
  if (error) return <Failed error={error} />;
  const left = records.filter((record) => spotStanding(record) !== 'gone');
  if (left.length === 0) return null;
  return (
    <p className={classes.spots}>
      <strong>Spots on its record:</strong> {left.map(spotText).join(' · ')}.{' '}
      <Link className="no-print" to="/clinic">
        To the spot clinic
      </Link>
    </p>
  );
}
