import type { NearWay, PlaceRecord, WayId } from '@keen/core';
import { Button } from '@mantine/core';
import { useRemove } from '../api/queries.js';
import { usePlanWash } from '../api/wash-queries.js';
import { useFormat } from '../format/use-format.js';
import { methodName, nameOf } from '../words/names.js';
import { verdictText } from '../words/verdict-words.js';
import { wayBeside } from '../words/way-words.js';
import classes from './nearest-ways.module.css';
import { sayWithUndo } from './notices.js';
import { VerdictSwatch } from './verdict-patterns.js';

interface NearestWaysProps {
  readonly vehicleId: string;
  readonly vehicleName: string;
  readonly ways: readonly NearWay[];
  readonly places: readonly PlaceRecord[] | undefined;
  /** Looks at one that does not go; absent: there is nowhere to look. */
  readonly onShow?: (way: NearWay) => void;
}

const isHalf = (wayId: WayId): boolean => wayId.endsWith('-only');
const goes = ({ verdict }: NearWay): boolean => verdict === 'go' || verdict === 'go-if';

/** What comes nearest where a start does not go: each that goes one tap from being planned, each other with what is missing. */
export function NearestWays({ vehicleId, vehicleName, ways, places, onShow }: NearestWaysProps) {
  const format = useFormat();
  const plan = usePlanWash();
  const { mutateAsync: unplan } = useRemove('washes');
  if (ways.length === 0) return null;
  const planIt = ({ placeId, methodId, startMs, wayId }: NearWay): void =>
    void sayWithUndo(
      // Half of the car is what was offered, and no other way of it goes.
      plan.mutateAsync({ vehicleId, placeId, methodId, startMs, ...(isHalf(wayId) ? { wayId } : {}) }),
      (wash) => `${vehicleName} planned for ${format.dayTime(wash.startMs)}.`,
      (wash) => unplan(wash.id),
    );
  return (
    <ul className={classes.ways} aria-label={`Nearest ways for ${vehicleName}`}>
      {ways.map((way) => {
        const name = `${format.dayTime(way.startMs)}, ${nameOf(places, way.placeId)}, ${methodName(way.methodId)}`;
        const beside = wayBeside(way.wayId, way.limiting);
        return (
          <li key={`${way.placeId} ${way.methodId} ${way.startMs}`}>
            <VerdictSwatch verdict={way.verdict} />
            <div>
              <strong>{name}</strong>
              <br />
              {verdictText(way.verdict, way.limiting, format)}
              {goes(way) && beside && <>. {beside}</>}
            </div>
            {goes(way) ? (
              <Button
                size="compact-sm"
                color="lamp.3"
                aria-label={`Plan ${name}`}
                onClick={() => planIt(way)}
                loading={plan.isPending && plan.variables.startMs === way.startMs}
              >
                Plan
              </Button>
            ) : (
              onShow && (
                <Button
                  size="compact-sm"
                  variant="default"
                  aria-label={`Show ${name}`}
                  onClick={() => onShow(way)}
                >
                  Show
                </Button>
              )
            )}
          </li>
        );
      })}
    </ul>
  );
}
