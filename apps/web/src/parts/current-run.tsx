import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import classes from './current-run.module.css';

interface CurrentRun {
  readonly washId: string;
  readonly vehicleName: string;
}

interface CurrentRunStore {
  /** The run that is under way on this device; null: none. */
  readonly run: CurrentRun | null;
  readonly set: (run: CurrentRun | null) => void;
}

/** Which run is under way on this device; known with no signal, too. */
export const useCurrentRun = create<CurrentRunStore>()(
  persist((set) => ({ run: null, set: (run) => set({ run }) }), { name: 'keen-current-run' }),
);

/** The way back to the run that is under way. */
export function CurrentRunLink() {
  const run = useCurrentRun((store) => store.run);
  if (!run) return null;
  return (
    <p className={`${classes.current} no-print`}>
      A run is under way: <strong>{run.vehicleName}</strong>
      <Button color="lamp.3" size="md" component={Link} to={`/run/${run.washId}/live`}>
        Go on with it
      </Button>
    </p>
  );
}
