import { SegmentedControl } from '@mantine/core';
import type { CarZone, SoilKind, ConditionView, VehicleRecord } from '@keen/core';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useClock, useVehicles } from '../../api/queries.js';
import { useCondition } from '../../api/verdict-queries.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading, NoVehicles } from '../../parts/states.js';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import { VehiclePicker } from '../../parts/vehicle-picker.js';
import { SOIL_NAMES } from '../../words/car-names.js';
import { CoatsSection } from './coats-section.js';
import { CompatibilityCheck } from './compatibility-check.js';
import { handText, protectionLayer, soilLayer, waterLayer } from './condition-view.js';
import classes from './condition.module.css';
import { ProtectionPanel } from './protection-panel.js';
import { QuickLookBox } from './quick-look.js';
import { SeasonSection } from './season-section.js';
import { SoilPanel } from './soil-panel.js';

const LAYERS = [
  { value: 'soil', label: 'Soil' },
  { value: 'protection', label: 'Protection' },
  { value: 'water', label: 'Water' },
] as const;
type LayerKind = (typeof LAYERS)[number]['value'];

/** How dirty each zone is and with what, what protects it, and what water does on it. */
export function ConditionPage() {
  const { vehicleId: fromPath } = useParams();
  const navigate = useNavigate();
  const { data: vehicles } = useVehicles();
  const { data: clock } = useClock();
  const vehicleId = fromPath ?? vehicles?.[0]?.id ?? '';
  const { data: condition, error, refetch } = useCondition(vehicleId);
  const vehicle = vehicles?.find(({ id }) => id === vehicleId);
  return (
    <Page
      title="Condition"
      lead={vehicle ? `${vehicle.name}: tap a zone to say what you see.` : undefined}
      actions={
        <VehiclePicker
          vehicles={vehicles}
          value={vehicleId}
          onChoose={(id) => void navigate(`/condition/${id}`)}
        />
      }
    >
      {vehicles?.length === 0 && <NoVehicles>Add a vehicle first; its condition is shown here.</NoVehicles>}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !condition && vehicleId !== '' && <Loading what="Estimating soil and wear" />}
      {condition && vehicle && clock && (
        <Car key={vehicle.id} vehicle={vehicle} condition={condition} nowMs={clock.nowMs} />
      )}
    </Page>
  );
}

interface CarProps {
  readonly vehicle: VehicleRecord;
  readonly condition: ConditionView;
  readonly nowMs: number;
}

function Car({ vehicle, condition, nowMs }: CarProps) {
  const [layer, setLayer] = useState<LayerKind>('soil');
  const [kind, setKind] = useState<SoilKind>('salt-film');
  const [zone, setZone] = useState<CarZone>('lower-left');
  const layers = {
    soil: soilLayer(condition.soil, kind),
    protection: protectionLayer(condition.protections),
    water: waterLayer(vehicle),
  };
  const labels = {
    soil: `${SOIL_NAMES[kind]} by zone, grade 0 to 5`,
    protection: 'What is left of the protection, by zone',
    water: 'What water does, by zone',
  };
  return (
    <div className={classes.grid}>
      <div className={classes.column}>
        {layer === 'soil' && <QuickLookBox vehicle={vehicle} />}
        {layer === 'soil' && condition.hand && (
          <p className={classes.hand} data-when={condition.hand.when}>
            {handText(condition.hand)}
          </p>
        )}
        <section className={classes.box}>
          <div className={classes.switches}>
            <SegmentedControl
              aria-label="What the drawing shows"
              data={[...LAYERS]}
              value={layer}
              onChange={(value) => setLayer(value)}
            />
            {layer === 'soil' && (
              <SegmentedControl
                aria-label="Kind of soil"
                size="sm"
                data={(Object.entries(SOIL_NAMES) as [SoilKind, string][]).map(([value, label]) => ({
                  value,
                  label,
                }))}
                value={kind}
                onChange={(value) => setKind(value)}
              />
            )}
          </div>
          <UnfoldedCar
            bodyClass={vehicle.bodyClass}
            layer={layers[layer]}
            label={labels[layer]}
            tone={layer === 'soil' ? 'soil' : 'brine'}
            chosen={zone}
            onChoose={setZone}
          />
          <p className="muted">
            Underlined figures were seen; the rest is estimated
            {layer === 'soil'
              ? ' from the salt ledger and the days, and holds until the next wash.'
              : layer === 'protection'
                ? " from the maker's claim, washes beyond its pH and days under salt (judgement)."
                : ' to be as on the whole car.'}
          </p>
        </section>
        {layer !== 'soil' && <CoatsSection coats={condition.coats} nowMs={nowMs} />}
        <SeasonSection condition={condition} />
        {layer !== 'soil' && <CompatibilityCheck vehicle={vehicle} />}
      </div>
      {layer === 'soil' ? (
        <SoilPanel vehicle={vehicle} condition={condition} zone={zone} kind={kind} onKind={setKind} />
      ) : (
        <ProtectionPanel vehicle={vehicle} condition={condition} zone={zone} nowMs={nowMs} />
      )}
    </div>
  );
}
