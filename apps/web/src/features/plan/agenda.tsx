import type { PlaceRecord, VehicleRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { seasonJobsText } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import classes from './agenda.module.css';
import { type Block, type DayStrip, isOn } from './plan-view.js';

interface AgendaProps {
  readonly strips: readonly DayStrip[];
  readonly blocks: readonly Block[];
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly chosenKey: string | null;
  readonly onChoose: (block: Block) => void;
}

/** Seasonal jobs that stand with a wash, or are proposed with it. */
const extrasOf = ({ wash, window }: Block) => wash?.extras ?? window?.extras.jobIds ?? [];

/** The same days as a list, for a phone and for paper. */
export function Agenda({ strips, blocks, places, vehicles, format, chosenKey, onChoose }: AgendaProps) {
  return (
    <div className={classes.agenda}>
      {strips.map((strip) => {
        const here = blocks.filter((block) => isOn(strip, block));
        if (here.length === 0) return null;
        return (
          <section key={strip.key}>
            <h3>{format.day(strip.fromMs)}</h3>
            {here.map((block) => (
              <button
                key={block.key}
                type="button"
                className={classes.entry}
                data-kind={block.kind}
                aria-pressed={block.key === chosenKey}
                onClick={() => onChoose(block)}
              >
                <span className="figure">{format.time(block.startMs)}</span>
                <span>
                  <strong>{nameOf(vehicles, block.vehicleId)}</strong>
                  {block.kind === 'proposed' && <span className="muted"> · proposed</span>}
                  {block.wash?.isLocked && <span className="muted"> · locked</span>}
                  <br />
                  {nameOf(places, block.placeId)}, {methodName(block.methodId)}
                  {extrasOf(block).length > 0 && `, with ${seasonJobsText(extrasOf(block))}`}
                  <br />
                  <span className="muted">
                    {block.window
                      ? verdictText(block.window.verdict, block.window.limiting, format)
                      : 'Does not go there now, or beyond the forecast'}
                  </span>
                </span>
              </button>
            ))}
          </section>
        );
      })}
    </div>
  );
}
