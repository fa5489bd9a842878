import { Button, SegmentedControl } from '@mantine/core';
import type { FilmInput } from '@keen/core';
import { useEffect, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { useSettings } from '../../api/queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { filmOf, labPath } from '../../parts/lab-path.js';
import { NumberField } from '../../parts/number-field.js';
import { Page } from '../../parts/page.js';
import { Loading } from '../../parts/states.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { HORIZONS_MINUTES, PLAIN_FILM, wipeMargin } from './lab-view.js';
import classes from './lab.module.css';
import { LifeDrawing } from './life-drawing.js';
import { useFilmTrace } from './use-film-trace.js';
import { Controls } from './controls.js';
import { Headline, TraceTable } from './headline.js';

const KEEP_AFTER_MS = 400;

/** Where the film came from, in words. */
function originText(query: URLSearchParams, format: Format): string | null {
  const panel = query.get('panel');
  const startMs = Number(query.get('startMs'));
  if (!panel || !Number.isFinite(startMs) || startMs === 0) return null;
  const name = PANEL_NAMES[panel as keyof typeof PANEL_NAMES] ?? panel;
  return `${name}, ${query.get('place') ?? ''}, ${format.dayTime(startMs)}`;
}

/** One panel, all inputs movable, the film's life drawn as it happens. */
export function LabPage() {
  const format = useFormat();
  const [query] = useSearchParams();
  const { pathname } = useLocation();
  const { data: settings } = useSettings();
  const [began] = useState(() => filmOf(query, PLAIN_FILM));
  const [film, setFilm] = useState(began);
  const [wipeMinutes, setWipeMinutes] = useState(9);
  const answer = useFilmTrace(film);
  const origin = originText(query, format);
  const set = (change: Partial<FilmInput>): void => setFilm((old) => ({ ...old, ...change }));

  // What is dialled stands in the address, so that it outlives a reload and can be passed on. It is no navigation: that would call off
  // one to another view which is under way.
  useEffect(() => {
    const timer = setTimeout(() => {
      if (window.location.pathname !== pathname) return;
      const next = new URLSearchParams(labPath(film).split('?')[1]);
      const old = new URLSearchParams(window.location.search);
      for (const key of ['panel', 'place', 'startMs']) {
        const value = old.get(key);
        if (value !== null) next.set(key, value);
      }
      window.history.replaceState(window.history.state, '', `${pathname}?${next.toString()}`);
    }, KEEP_AFTER_MS);
    return () => clearTimeout(timer);
  }, [film, pathname]);

  return (
    <Page
      title="Film lab"
      lead={
        origin
          ? `Started from the ${origin}. Move anything; the film answers.`
          : 'One panel and the water on it. Move anything; the film answers.'
      }
      actions={
        <Button variant="default" onClick={() => setFilm(began)} disabled={film === began}>
          Reset
        </Button>
      }
    >
      <div className={classes.lab}>
        <Controls film={film} set={set} format={format} />
        <div className={classes.view}>
          {!answer && <Loading what="Starting the lab" />}
          {answer && !answer.ok && (
            <p role="alert" className={classes.fault}>
              {answer.message}. The last drawing is gone until it is within its range; what you dialled is
              kept.
            </p>
          )}
          {answer?.ok && (
            <>
              <Headline
                trace={answer.trace}
                wipeMinutes={wipeMinutes}
                inHandFraction={settings?.limits.inHandFraction ?? 0.33}
                format={format}
              />
              <LifeDrawing
                trace={answer.trace}
                airTempC={film.airTempC}
                horizonMinutes={film.horizonMinutes ?? 720}
                wipeNeededMinutes={
                  wipeMargin(answer.trace, wipeMinutes, settings?.limits.inHandFraction ?? 0.33).neededMinutes
                }
                hasBrine={(film.brine?.massPercent ?? 0) > 0}
                format={format}
              />
              <div className={classes.under}>
                <NumberField
                  label="From wet to wiped"
                  unit="min"
                  value={wipeMinutes}
                  onChange={(value) => setWipeMinutes(Math.max(0, value ?? 0))}
                  min={0}
                />
                <div>
                  <span id="horizon-label" className={classes.label}>
                    Followed for
                  </span>
                  <SegmentedControl
                    aria-labelledby="horizon-label"
                    data={HORIZONS_MINUTES.map((minutes) => ({
                      value: String(minutes),
                      label: format.minutes(minutes),
                    }))}
                    value={String(film.horizonMinutes ?? 720)}
                    onChange={(value) => set({ horizonMinutes: Number(value) })}
                  />
                </div>
                <span className="muted">Worked out in {answer.tookMs.toFixed(1)} ms, in a worker.</span>
              </div>
              <TraceTable trace={answer.trace} format={format} />
            </>
          )}
        </div>
      </div>
    </Page>
  );
}
