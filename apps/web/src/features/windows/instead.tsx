import { type Band, nearestWays, type NearWay, type PlaceRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { NearestWays } from '../../parts/nearest-ways.js';
import { methodName } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import classes from './reasons.module.css';
import { goingAt } from './ribbon-view.js';

export interface InsteadProps {
  readonly vehicleId: string;
  readonly vehicleName: string;
  readonly band: Band;
  readonly hourIndex: number;
  /** All bands of the ribbon, to say what else goes. */
  readonly bands: readonly Band[];
  readonly places: readonly PlaceRecord[];
  readonly onChooseBand: (bandIndex: number) => void;
  /** Chooses another start of the ribbon. */
  readonly onShow: (way: NearWay) => void;
  readonly format: Format;
}

const SHOWN_ELSEWHERE = 4;

/** What else goes at this hour, where this one goes on condition. */
export function SameHour({ band, bands, hourIndex, places, format, onChooseBand }: InsteadProps) {
  const others = goingAt(bands, hourIndex).filter((bandIndex) => bands[bandIndex] !== band);
  if (others.length === 0 || band.cells[hourIndex]?.verdict !== 'go-if') return null;
  return (
    <div className={classes.elsewhere}>
      <strong>At this hour instead</strong>
      <ul className={classes.sameHour}>
        {others.slice(0, SHOWN_ELSEWHERE).map((bandIndex) => {
          const other = bands[bandIndex];
          const cell = other?.cells[hourIndex];
          if (!other || !cell) return null;
          const name = places.find(({ id }) => id === other.placeId)?.name ?? other.placeId;
          return (
            <li key={bandIndex}>
              <button type="button" onClick={() => onChooseBand(bandIndex)}>
                {name}, {methodName(other.methodId)}
              </button>{' '}
              {verdictText(cell.verdict, cell.limiting, format)}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** Where it does not go: what comes nearest, each one tap from being planned. */
export function Nearest({ vehicleId, vehicleName, band, bands, hourIndex, places, onShow }: InsteadProps) {
  const cell = band.cells[hourIndex];
  if (!cell || cell.verdict === 'go' || cell.verdict === 'go-if') return null;
  const { placeId, methodId } = band;
  const ways = nearestWays(bands, { placeId, methodId, startMs: cell.startMs }).filter(
    (way) => way.placeId !== placeId || way.methodId !== methodId || way.startMs !== cell.startMs,
  );
  return (
    <div className={classes.elsewhere}>
      <strong>
        {ways.some(({ verdict }) => verdict.startsWith('go')) ? 'Nearest that goes' : 'Nothing goes; nearest'}
      </strong>
      <NearestWays
        vehicleId={vehicleId}
        vehicleName={vehicleName}
        ways={ways}
        places={places}
        onShow={onShow}
      />
    </div>
  );
}
