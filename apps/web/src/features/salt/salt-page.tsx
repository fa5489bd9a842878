import { useNavigate, useParams } from 'react-router';
import { useClock, useVehicles } from '../../api/queries.js';
import { useSalt } from '../../api/verdict-queries.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading, NoVehicles } from '../../parts/states.js';
import { VehiclePicker } from '../../parts/vehicle-picker.js';
import { Drives } from './drives.js';
import { Roads } from './roads.js';
import classes from './salt.module.css';
import { Swabs } from './swabs.js';
import { Ledger } from './ledger-table.js';

/** How much salt is on each zone, and for how long it has been eating; and what that rests on. */
export function SaltPage() {
  const { vehicleId: fromPath } = useParams();
  const navigate = useNavigate();
  const { data: vehicles } = useVehicles();
  const { data: clock } = useClock();
  const vehicleId = fromPath ?? vehicles?.[0]?.id ?? '';
  const { data: salt, error, refetch } = useSalt(vehicleId);
  const vehicle = vehicles?.find(({ id }) => id === vehicleId);
  return (
    <Page
      title="Salt"
      lead={vehicle ? `${vehicle.name}: what is on it, and how long it has been eating.` : undefined}
      actions={
        <VehiclePicker
          vehicles={vehicles}
          value={vehicleId}
          onChoose={(id) => void navigate(`/salt/${id}`)}
        />
      }
    >
      {vehicles?.length === 0 && <NoVehicles>Add a vehicle first; its salt is shown here.</NoVehicles>}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !salt && vehicleId !== '' && <Loading what="Running the ledger" />}
      {salt && vehicle && (
        <>
          <Ledger key={vehicle.id} salt={salt} vehicle={vehicle} />
          {clock && (
            <>
              <div className={classes.grid}>
                <Swabs vehicle={vehicle} salt={salt} nowMs={clock.nowMs} />
                <Drives vehicle={vehicle} nowMs={clock.nowMs} />
              </div>
              <Roads nowMs={clock.nowMs} />
            </>
          )}
        </>
      )}
    </Page>
  );
}
