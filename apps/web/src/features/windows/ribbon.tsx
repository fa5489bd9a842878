import { type Band, ruleOf, type ForecastHour, type PlaceRecord, type WindowsView } from '@keen/core';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import type { Format } from '../../format/format.js';
import { VerdictPatterns } from '../../parts/verdict-patterns.js';
import { methodName } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import { BandRow } from './band-row.js';
import { moveByKey, type Point } from './chosen-start.js';
import {
  BAND_GAP,
  bandLayout,
  CLOCK_HEIGHT,
  DAY_HEIGHT,
  HEAD_HEIGHT,
  ROAD_HEIGHT,
  SKY_HEIGHT,
} from './ribbon-view.js';
import { RoadRows } from './road-rows.js';
import classes from './ribbon.module.css';
import { SkyRows } from './sky-rows.js';
import { ChosenMark } from './chosen-mark.js';

interface RibbonProps {
  readonly view: WindowsView;
  readonly bands: readonly Band[];
  readonly hours: readonly ForecastHour[];
  readonly places: readonly PlaceRecord[];
  readonly cellWidth: number;
  readonly chosen: Point;
  readonly onChoose: (point: Point) => void;
  readonly onPlan: () => void;
  readonly format: Format;
}

const AIR = DAY_HEIGHT + SKY_HEIGHT;

const TOP = AIR + ROAD_HEIGHT + CLOCK_HEIGHT + 2 * BAND_GAP;

/** Keeps the chosen hour in sight. */
function useChosenInView(hourIndex: number, cellWidth: number) {
  const scroll = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const box = scroll.current;
    if (!box) return;
    const x = hourIndex * cellWidth;
    if (x < box.scrollLeft + 40 || x > box.scrollLeft + box.clientWidth - 60) {
      box.scrollLeft = Math.max(0, x - box.clientWidth / 3);
    }
  }, [hourIndex, cellWidth]);
  return scroll;
}

/** What each row of the ribbon is, at its left. */
function Labels({ bands, places, format }: Pick<RibbonProps, 'bands' | 'places' | 'format'>) {
  const { thick, heads } = bandLayout(bands);
  return (
    <div className={classes.labels} aria-hidden="true">
      <div className={classes.label} style={{ height: AIR }}>
        <strong>Air</strong>
        <span>
          line: main forecast, {format.display.temperature === 'F' ? '°F' : '°C'}; shade: eight in ten of the
          forecasts; dashes: freezing; bars: rain or snow
        </span>
      </div>
      <div className={classes.label} style={{ height: ROAD_HEIGHT + BAND_GAP }}>
        <strong>Main road</strong>
      </div>
      <div className={classes.label} style={{ height: CLOCK_HEIGHT + BAND_GAP }}>
        <strong>Salt at work</strong>
      </div>
      {bands.map((band, i) => (
        <div key={`${band.placeId} ${band.methodId}`}>
          {heads[i] && (
            <div className={classes.head} style={{ height: HEAD_HEIGHT }}>
              {placeName(places, band)}
            </div>
          )}
          <div className={classes.label} style={{ height: thick + BAND_GAP }}>
            <span className={classes.method}>{methodName(band.methodId)}</span>
          </div>
        </div>
      ))}
    </div>
  );
}

/** Hours from left to right, one band for each place and method; the margin and its reason in every cell. */
export function Ribbon({
  view,
  bands,
  hours,
  places,
  cellWidth,
  chosen,
  onChoose,
  onPlan,
  format,
}: RibbonProps) {
  const scroll = useChosenInView(chosen.hourIndex, cellWidth);
  const cell = bands[chosen.bandIndex]?.cells[chosen.hourIndex];
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const next = moveByKey(event.key, chosen, bands);
    if (next) {
      event.preventDefault();
      onChoose(next);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      onPlan();
    }
  };
  const { thick, tops, height } = bandLayout(bands);
  const bandY = (index: number): number => TOP + (tops[index] ?? 0);
  const spoken = cell
    ? `${placeName(places, bands[chosen.bandIndex])}, ${methodName(bands[chosen.bandIndex]?.methodId ?? '')}, ${format.dayTime(cell.startMs)}: ${verdictText(cell.verdict, cell.limiting, format)} (${ruleOf(cell.limiting.ruleId).glyph})`
    : '';
  return (
    <div className={classes.wrap}>
      <Labels bands={bands} places={places} format={format} />
      <div
        ref={scroll}
        className={classes.scroll}
        role="application"
        aria-roledescription="window ribbon"
        tabIndex={0}
        aria-label="Windows over the week. Arrow keys move between hours and places, n finds the next start that goes, Enter plans."
        onKeyDown={onKey}
      >
        <svg
          className={classes.drawing}
          width={view.hourCount * cellWidth}
          height={TOP + height}
          aria-hidden="true"
        >
          <VerdictPatterns />
          <SkyRows view={view} hours={hours} cellWidth={cellWidth} format={format} />
          <RoadRows hours={view.hours} y={AIR + 2} cellWidth={cellWidth} />
          {bands.map((band, bandIndex) => (
            <BandRow
              key={`${band.placeId} ${band.methodId}`}
              band={band}
              y={bandY(bandIndex)}
              height={thick}
              cellWidth={cellWidth}
              onChoose={(hourIndex) => onChoose({ bandIndex, hourIndex })}
            />
          ))}
          <ChosenMark
            x={chosen.hourIndex * cellWidth}
            y={bandY(chosen.bandIndex)}
            width={cellWidth}
            height={thick}
          />
        </svg>
        <span
          className="mantine-visually-hidden"
          style={{ position: 'absolute', clipPath: 'inset(50%)', height: 1, width: 1, overflow: 'hidden' }}
          aria-live="polite"
        >
          {spoken}
        </span>
      </div>
    </div>
  );
}

const placeName = (places: readonly PlaceRecord[], band: Band | undefined): string =>
  places.find(({ id }) => id === band?.placeId)?.name ?? band?.placeId ?? '';
