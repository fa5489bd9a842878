import { Button } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import type { PlaceRecord, PlanView, VehicleRecord } from '@keen/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { usePlan, usePlanStanding } from '../../api/plan-queries.js';
import { usePlaces, useVehicles } from '../../api/queries.js';
import { useWindows } from '../../api/verdict-queries.js';
import { useProgress } from '../../api/use-progress.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading, NoVehicles } from '../../parts/states.js';
import { Agenda } from './agenda.js';
import { Board } from './board.js';
import { Legend } from './legend.js';
import classes from './plan-page.module.css';
import { type Block, blocksOf, dayStrips } from './plan-view.js';
import { bandsBehind } from './margins.js';
import { type DropTarget } from './drop-targets.js';
import { Proposal } from './proposal.js';
import { Reliefs } from './reliefs.js';
import { Standing } from './standing.js';
import { UnplannedList } from './unplanned.js';
import { useDrag } from './use-drag.js';
import { WashPanel } from './wash-panel.js';
import { useActs } from './use-acts.js';
import { useMayChange } from '../../api/access-queries.js';
import { DayChoice } from './day-choice.js';

/** One plan for every car. */
export function PlanPage() {
  const { data: view, error, isPending, isFetching, refetch } = usePlan();
  const { data: places } = usePlaces();
  const { data: vehicles } = useVehicles();
  const progress = useProgress(isPending);
  if (error)
    return (
      <Page title="Plan">
        <Failed error={error} onRetry={() => void refetch()} />
      </Page>
    );
  if (isPending || !places || !vehicles)
    return (
      <Page title="Plan">
        <Loading what="Working out one plan for every car" progress={progress} />
      </Page>
    );
  return <PlanOf view={view} isRenewed={isFetching} places={places} vehicles={vehicles} />;
}

interface PlanOfProps {
  readonly view: PlanView;
  /** It is being recalculated. */
  readonly isRenewed: boolean;
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
}

/** How the hours go for a car, by place; null: no car, or it is not known yet. */
function useBehind(vehicleId: string, methodId: string) {
  const { data: windows } = useWindows(vehicleId);
  return useMemo(
    () => (windows && vehicleId !== '' ? bandsBehind(windows.bands, methodId) : null),
    [windows, vehicleId, methodId],
  );
}

function PlanOf({ view, isRenewed, places, vehicles }: PlanOfProps) {
  const format = useFormat();
  const [params, setParams] = useSearchParams();
  const isNarrow = useMediaQuery('(max-width: 48em)') ?? false;
  const strips = useMemo(() => dayStrips(view, format), [view, format]);
  const blocks = useMemo(() => blocksOf(view), [view]);
  const day = strips.find(({ key }) => key === params.get('day'));
  const kind = day ? 'workers' : 'place';
  const drag = useDrag(kind);
  const [chosenKey, setChosenKey] = useState<string | null>(null);
  const [isUnfolded, setUnfolded] = useState(false);
  const chosen = blocks.find(({ key }) => key === chosenKey) ?? null;
  const behind = useBehind(chosen?.vehicleId ?? '', chosen?.methodId ?? '');
  const standing = usePlanStanding(view.standing) ?? view.standing;
  const acts = useActs(vehicles);
  const mayChange = useMayChange();

  const choose = (block: Block): void => {
    setChosenKey(block.key);
    if (mayChange) drag.take({ vehicleId: block.vehicleId, block });
  };
  const close = (): void => {
    setChosenKey(null);
    drag.take(null);
  };
  const drop = (target: DropTarget): void => {
    if (!drag.dragged) return;
    acts.moveTo(drag.dragged.vehicleId, drag.dragged.block?.washId ?? null, target.option);
    drag.take(null);
  };
  const shown = day ? [day] : strips;
  const around = { places, vehicles, format };

  const agenda = (
    <Agenda strips={shown} blocks={blocks} {...around} chosenKey={chosenKey} onChoose={choose} />
  );

  return (
    <Page
      title="Plan"
      lead={<Standing standing={standing} isRenewed={isRenewed} format={format} />}
      actions={
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      }
    >
      {vehicles.length === 0 && <NoVehicles>Add a vehicle, and its washes are shown here.</NoVehicles>}
      <Proposal
        key={view.id}
        view={view}
        {...around}
        onAccept={(ids) => acts.accept(view, ids)}
        isBusy={acts.isBusy || isRenewed}
        isNarrow={isNarrow}
      />
      <DayChoice
        strips={strips}
        value={day?.key ?? ''}
        isNarrow={isNarrow}
        onChange={(key) => setParams(key === '' ? {} : { day: key }, { replace: true })}
      />
      {!isNarrow && blocks.length > 0 && (
        <Legend>
          {kind === 'place' && (
            <Button variant="default" size="compact-sm" onClick={() => setUnfolded(!isUnfolded)}>
              {isUnfolded ? 'Fold what is empty' : 'Show empty days and places'}
            </Button>
          )}
        </Legend>
      )}
      {drag.error && <Failed error={drag.error} />}
      <div className={classes.main} data-open={chosen !== null || undefined}>
        {blocks.length === 0 && vehicles.length > 0 && drag.dragged === null && (
          <Empty title="Nothing is planned, and nothing is due" />
        )}
        {isNarrow && agenda}
        {!isNarrow && (
          <Board
            view={view}
            strips={shown}
            blocks={blocks}
            kind={kind}
            {...around}
            drag={drag}
            chosenKey={chosenKey}
            isUnfolded={isUnfolded || chosen !== null || drag.dragged?.block === null || day !== undefined}
            behind={behind}
            onChoose={choose}
            onDrop={drop}
            onLock={acts.lock}
            onRemove={acts.remove}
          />
        )}
        {chosen && (
          <WashPanel
            block={chosen}
            view={view}
            {...around}
            drag={drag}
            onLock={acts.lock}
            onStart={(block) => acts.start(block, view.nowMs)}
            onRemove={acts.remove}
            onExtras={acts.setExtras}
            onTogether={acts.together}
            onApart={acts.apart}
            onMove={(to) => acts.moveTo(chosen.vehicleId, chosen.washId, to)}
            onAccept={isRenewed ? null : (block) => acts.accept(view, [block.key])}
            onClose={close}
          />
        )}
        {!isNarrow && <div className={classes.paper}>{agenda}</div>}
      </div>
      <UnplannedList
        view={view}
        vehicles={vehicles}
        format={format}
        takenId={drag.dragged?.block === null ? drag.dragged.vehicleId : null}
        onTake={(vehicleId) => {
          setChosenKey(null);
          drag.take({ vehicleId, block: null });
        }}
      />
      {vehicles.length > 0 && (
        <Reliefs key={`${view.id} ${view.planned.length}`} places={places} format={format} />
      )}
    </Page>
  );
}
