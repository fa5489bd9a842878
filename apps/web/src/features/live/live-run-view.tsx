import type { RunDeed } from '@keen/core';
import { useDeferredValue, useState } from 'react';
import { noticeNotKept } from '../../parts/notices.js';
import { Before } from './before.js';
import { CloseSheet } from './close-sheet.js';
import { Closed } from './closed.js';
import { Drift } from './drift.js';
import { DwellCards } from './dwell-cards.js';
import { EdgePlan } from './edge-plan.js';
import { isDrying, mainTap, wetsBySection } from './live-view.js';
import { MeterCard } from './meter-card.js';
import { MoreSheet } from './more-sheet.js';
import { NotesList } from './notes-list.js';
import type { KeptRun } from './run-db.js';
import type { RunLog } from './run-log.js';
import type { RunView } from './run-view.js';
import { SunNow } from './sun-now.js';
import { StepCard } from './step-card.js';
import { ThumbBar } from './thumb-bar.js';
import type { LiveRun } from './use-live-run.js';
import { useRunKeys } from './use-run-keys.js';
import classes from './live.module.css';

export interface LiveRunViewProps {
  readonly log: RunLog;
  readonly view: RunView;
  readonly run: KeptRun;
  readonly live: LiveRun;
  /** Of a visit of two cars; absent: this car is alone. */
  readonly visit?: {
    /** The other car, which the hands go to when this step is done; null: they stay here. */
    readonly goesTo: string | null;
    /** Notes what was done here, and that the hands are no longer at the other. */
    readonly act: (...deeds: readonly RunDeed[]) => Promise<void>;
  };
}

/** One step at a time, large; what lies on the car, the meter, the wet edge; and one button under the thumb. */
export function LiveRunView({ log, view, run, live, visit }: LiveRunViewProps) {
  const { pack } = run;
  const { state, moment, nowMs } = live;
  const [sheet, setSheet] = useState<'more' | 'close' | null>(null);
  const act = (...deeds: readonly RunDeed[]): void => {
    (visit ? visit.act(...deeds) : log.add(...deeds)).catch(noticeNotKept);
  };
  const undo = (): void => {
    log.undo().catch(noticeNotKept);
  };
  const goesTo = visit?.goesTo ?? null;
  const tap = mainTap(state, moment, goesTo === null);
  const press = (): void => {
    if (tap.kind === 'start') act({ kind: 'start', packId: pack.id });
    else if (tap.kind === 'close') setSheet('close');
    else if (tap.kind !== 'closed') act(...tap.deeds);
  };
  useRunKeys({ press, undo, act, moment, isOpen: sheet !== null, onMore: () => setSheet('more') });
  const step = moment.current ?? moment.next;
  const drying = isDrying(step);
  const mayWet = wetsBySection(step);
  // The picture is drawn right behind the tap that brings it, not before the tap shows.
  const hasPlan = useDeferredValue(moment.edges.length > 0 || mayWet);
  const plan = hasPlan && (
    <EdgePlan
      pack={pack}
      state={state}
      moment={moment}
      nowMs={nowMs}
      mayWet={mayWet}
      isDrying={drying}
      act={act}
    />
  );
  return (
    <>
      <main className={classes.main} id="main">
        {state.phase === 'not-begun' && <Before pack={pack} />}
        {state.phase === 'closed' && <Closed pack={pack} state={state} />}
        {state.phase === 'running' && (
          <>
            <div className={classes.column}>
              <Drift moment={moment} />
              <SunNow pack={pack} nowMs={nowMs} />
              <DwellCards moment={moment} act={act} />
              {drying && plan}
              <StepCard
                bodyClass={pack.vehicle.bodyClass}
                moment={moment}
                state={state}
                tap={tap}
                act={act}
              />
              <MeterCard moment={moment} act={act} />
            </div>
            <div className={classes.column}>
              {!drying && plan}
              <NotesList state={state} log={log} />
            </div>
          </>
        )}
      </main>
      <ThumbBar
        tap={tap}
        view={view}
        moment={moment}
        isRunning={state.phase === 'running'}
        goesTo={goesTo}
        onPress={press}
        onUndo={undo}
        onMore={() => setSheet('more')}
        onClose={() => setSheet('close')}
        act={act}
      />
      {sheet === 'more' && (
        <MoreSheet
          pack={pack}
          log={log}
          state={state}
          moment={moment}
          act={act}
          onClose={() => setSheet(null)}
        />
      )}
      {sheet === 'close' && (
        <CloseSheet
          pack={pack}
          state={state}
          moment={moment}
          wash={run.wash}
          nowMs={nowMs}
          act={act}
          onClose={() => setSheet(null)}
        />
      )}
    </>
  );
}
