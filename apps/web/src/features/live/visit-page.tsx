import { type RunDeed, type Visit, visitOf } from '@keen/core';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Failed, Loading } from '../../parts/states.js';
import type { KeptRun } from './run-db.js';
import type { RunLog } from './run-log.js';
import type { RunView } from './run-view.js';
import { LiveHead } from './live-head.js';
import page from './live-page.module.css';
import { LiveRunView } from './live-run-view.js';
import { phaseOf } from './live-view.js';
import { useLiveRun } from './use-live-run.js';
import { useRefreshAfterRun } from './use-refresh-after-run.js';
import { useRunLog } from './use-run-log.js';
import { VisitTabs } from './visit-tabs.js';
import { visitNow } from './visit-view.js';

interface OpenRun {
  readonly log: RunLog;
  readonly view: RunView;
  readonly run: KeptRun;
}

const opened = ({ opened: known }: ReturnType<typeof useRunLog>): OpenRun | null =>
  known?.view.run ? { ...known, run: known.view.run } : null;

/** Two cars under one pair of hands, on one phone: it shows whichever is next. */
export function VisitPage() {
  const { first = '', second = '' } = useParams();
  const logs = [useRunLog(first), useRunLog(second)] as const;
  const [a, b] = [opened(logs[0]), opened(logs[1])];
  useEffect(() => {
    document.title = 'Two cars, one visit · Keen Rinse';
  }, []);
  if (a && b) return <OpenVisit first={a} second={b} />;
  const failure = logs[0].failure ?? logs[1].failure;
  const error = logs.flatMap(({ opened: known }) => known?.view.error ?? [])[0];
  const retry = (): void => logs.forEach(({ opened: known }) => void known?.log.sync());
  return (
    <main className={page.blank}>
      <h1>Two cars, one visit</h1>
      {failure && (
        <p role="alert">
          This browser keeps nothing ({failure.message}). Leave private browsing, or make room.
        </p>
      )}
      {error && <Failed error={error} onRetry={retry} />}
      {!failure && !error && <Loading what="Opening both runs" />}
      <Link to="/plan">To the plan</Link>
    </main>
  );
}

function OpenVisit({ first, second }: { readonly first: OpenRun; readonly second: OpenRun }) {
  const visit = useMemo(() => visitOf(first.run.pack, second.run.pack), [first.run.pack, second.run.pack]);
  if (visit) return <VisitRuns cars={[first, second]} visit={visit} />;
  return (
    <main className={page.blank}>
      <h1>Two cars, one visit</h1>
      <p role="alert">
        These two are no visit: both have to be done at one place that takes two cars, and neither may drive
        on.
      </p>
      <Link to={`/run/${first.run.washId}/live`}>Run {first.run.vehicleName} alone</Link>
    </main>
  );
}

interface VisitRunsProps {
  readonly cars: readonly [OpenRun, OpenRun];
  readonly visit: Visit;
}

function VisitRuns({ cars, visit }: VisitRunsProps) {
  const [a, b] = cars;
  const lives = [
    useLiveRun(a.run.pack, a.log, a.view.actions),
    useLiveRun(b.run.pack, b.log, b.view.actions),
  ] as const;
  useRefreshAfterRun(phaseOf(a.view.actions), a.view.keptCount);
  useRefreshAfterRun(phaseOf(b.view.actions), b.view.keptCount);
  const { car, then } = visitNow(lives, visit.hold);
  // Whose turn it is is shown, until somebody looks at the other; with the next turn again.
  const [looked, setLooked] = useState<{ readonly at: 0 | 1; readonly turn: 0 | 1 | null } | null>(null);
  const shown = looked && looked.turn === car ? looked.at : (car ?? 0);
  const mine = cars[shown];
  const other = cars[shown === 0 ? 1 : 0];
  const live = lives[shown];
  const otherLive = lives[shown === 0 ? 1 : 0];
  const act = async (...deeds: readonly RunDeed[]): Promise<void> => {
    const goesOn = live.moment.isPaused && deeds[0]?.kind !== 'resume';
    await mine.log.add(...(goesOn ? [{ kind: 'resume' } as const] : []), ...deeds);
    // The hands are here: minutes of the other are not counted meanwhile, while what lies on it works on.
    if (deeds[0]?.kind === 'start' && otherLive.state.phase === 'not-begun')
      await other.log.add({ kind: 'start', packId: other.run.pack.id }, { kind: 'pause' });
    const isIdle = otherLive.state.phase === 'running' && !otherLive.moment.current;
    if (isIdle && !otherLive.moment.isPaused) await other.log.add({ kind: 'pause' });
  };
  const goesTo = then !== null && then !== shown ? cars[then].run.vehicleName : null;
  return (
    <div className={page.page}>
      <LiveHead log={mine.log} view={mine.view} run={mine.run} />
      <VisitTabs
        names={[a.run.vehicleName, b.run.vehicleName]}
        lives={lives}
        shown={shown}
        turn={car}
        visit={visit}
        onShow={(at) => setLooked({ at, turn: car })}
      />
      <LiveRunView
        key={mine.run.pack.id}
        log={mine.log}
        view={mine.view}
        run={mine.run}
        live={live}
        visit={{ goesTo, act }}
      />
    </div>
  );
}
