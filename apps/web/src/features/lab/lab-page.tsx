import { Button, SegmentedControl, Select, Slider } from '@mantine/core';
import type { FilmInput, FilmTrace } from '@keen/core';
import { useEffect, useMemo, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { useSettings } from '../../api/queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { filmOf, labPath } from '../../parts/lab-path.js';
import { NumberField } from '../../parts/number-field.js';
import { Page } from '../../parts/page.js';
import { Loading } from '../../parts/states.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { AGENT_NAMES, optionsOf } from '../../words/names.js';
import { type Dial, DIALS, edgeKind, HORIZONS_MINUTES, PLAIN_FILM, wipeMargin } from './lab-view.js';
import classes from './lab.module.css';
import { LifeDrawing } from './life-drawing.js';
import { useFilmTrace } from './use-film-trace.js';

const MATERIALS = { steel: 'Steel', aluminium: 'Aluminium', glass: 'Glass', plastic: 'Plastic' } as const;
const AGENTS = { none: 'Plain water', ...AGENT_NAMES };
const KEEP_AFTER_MS = 400;

function dialText({ unit }: Dial, value: number, format: Format): string {
  switch (unit) {
    case 'temp':
      return format.temp(value);
    case 'share':
      return format.share(value);
    case 'speed':
      return `${value.toFixed(1)} m/s`;
    default:
      return `${value.toFixed(0)} ${unit}`;
  }
}

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
          ? `Begun from the ${origin}. Move anything; the film answers.`
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

interface ControlsProps {
  readonly film: FilmInput;
  readonly set: (change: Partial<FilmInput>) => void;
  readonly format: Format;
}

function Controls({ film, set, format }: ControlsProps) {
  const { brine } = film;
  return (
    <section className={classes.controls} aria-label="Inputs">
      <Select
        label="Panel"
        data={optionsOf(MATERIALS)}
        value={film.material}
        onChange={(material) => material && set({ material })}
        allowDeselect={false}
      />
      {DIALS.map((dial) => {
        const value = film[dial.field];
        return (
          <div key={dial.field}>
            <div className={classes.dial}>
              <span>{dial.label}</span>
              <span className="figure">{dialText(dial, value, format)}</span>
            </div>
            <Slider
              value={value}
              onChange={(next) => set({ [dial.field]: next })}
              min={dial.min}
              max={dial.max}
              step={dial.step}
              label={null}
              thumbLabel={dial.label}
              thumbValueText={dialText(dial, value, format)}
            />
          </div>
        );
      })}
      <Select
        label="The water is"
        data={optionsOf(AGENTS)}
        value={brine?.agent ?? 'none'}
        onChange={(agent) =>
          set({
            brine: agent && agent !== 'none' ? { agent, massPercent: brine?.massPercent ?? 5 } : undefined,
          })
        }
        allowDeselect={false}
      />
      {brine && (
        <div>
          <div className={classes.dial}>
            <span>Strength of the brine</span>
            <span className="figure">{brine.massPercent.toFixed(1)} %</span>
          </div>
          <Slider
            value={brine.massPercent}
            onChange={(massPercent) => set({ brine: { ...brine, massPercent } })}
            min={0}
            max={30}
            step={0.5}
            label={null}
            thumbLabel="Strength of the brine"
          />
        </div>
      )}
    </section>
  );
}

interface HeadlineProps {
  readonly trace: FilmTrace;
  readonly wipeMinutes: number;
  readonly inHandFraction: number;
  readonly format: Format;
}

/** The wet edge, what ends it, and how far it is from the time that wiping takes. */
function Headline({ trace, wipeMinutes, inHandFraction, format }: HeadlineProps) {
  const kind = edgeKind(trace);
  const { marginMinutes, neededMinutes } = wipeMargin(trace, wipeMinutes, inHandFraction);
  const words = {
    freezes: 'it freezes first',
    dries: 'it dries first',
    neither: 'neither dry nor ice in this time',
  };
  const facts = useMemo(
    () =>
      [
        ['Dry after', trace.dryMinutes === null ? 'later' : format.minutes(trace.dryMinutes)],
        ['First ice', trace.firstIceMinutes === null ? 'never' : format.minutes(trace.firstIceMinutes)],
        ['Coldest', format.temp(trace.lowestTempC)],
        ['Warmest', format.temp(trace.highestTempC)],
        ['Dry panel settles at', format.temp(trace.dryPanelTempC)],
        ['Wet panel settles at', format.temp(trace.wetPanelTempC)],
      ] as const,
    [trace, format],
  );
  return (
    <div className={classes.headline} aria-live="polite">
      <p className={classes.edge}>
        <span className={classes.label}>Wet edge</span>
        <strong className="figure">
          {trace.wetEdgeMinutes === null ? 'open' : format.minutes(trace.wetEdgeMinutes)}
        </strong>
        <span>{words[kind]}</span>
      </p>
      <p className={classes.margin} data-short={marginMinutes !== null && marginMinutes < 0}>
        {marginMinutes === null
          ? `Wiping needs ${format.minutes(neededMinutes)}: no limit in sight`
          : marginMinutes < 0
            ? `Short by ${format.minutes(-marginMinutes)}: wiping needs ${format.minutes(neededMinutes)} with time in hand`
            : `${format.minutes(marginMinutes)} over: wiping needs ${format.minutes(neededMinutes)} with time in hand`}
      </p>
      <dl className={classes.facts}>
        {facts.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

const TABLE_ROWS = 24;

function TraceTable({ trace, format }: { readonly trace: FilmTrace; readonly format: Format }) {
  const every = Math.max(1, Math.ceil(trace.points.length / TABLE_ROWS));
  const rows = trace.points.filter((_, i) => i % every === 0 || i === trace.points.length - 1);
  return (
    <details>
      <summary>As a table</summary>
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">After</th>
            <th scope="col">Temperature</th>
            <th scope="col">Water, g/m²</th>
            <th scope="col">Ice, g/m²</th>
            <th scope="col">Salt, %</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((point) => (
            <tr key={point.minutes}>
              <th scope="row" className="figure">
                {format.minutes(point.minutes)}
              </th>
              <td className="figure">{format.temp(point.tempC)}</td>
              <td className="figure">{point.waterGramsPerM2.toFixed(1)}</td>
              <td className="figure">{point.iceGramsPerM2.toFixed(1)}</td>
              <td className="figure">{point.massPercent.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
