import type { PlaceRecord } from '@keen/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { useReliefs } from '../../api/plan-queries.js';
import { useProgress } from '../../api/use-progress.js';
import type { Format } from '../../format/format.js';
import { Failed, Loading } from '../../parts/states.js';
import { reliefText } from '../../words/plan-words.js';
import classes from './plan.module.css';

const SHOWN = 5;

/** Which limit costs the plan most; worked out when it is asked for. */
export function Reliefs({
  places,
  format,
}: {
  readonly places: readonly PlaceRecord[];
  readonly format: Format;
}) {
  const [isWanted, setWanted] = useState(false);
  const { data, error, isFetching, refetch } = useReliefs(isWanted);
  const progress = useProgress(isFetching);
  return (
    <section className={`${classes.unplanned} no-print`}>
      <h2>What holds the plan back</h2>
      {!isWanted && (
        <Button mt="xs" variant="default" onClick={() => setWanted(true)}>
          Work it out
        </Button>
      )}
      {isFetching && <Loading what="Making the plan with a little more of each" progress={progress} />}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {data && !isFetching && (
        <ul>
          {data.length === 0 && <li>Nothing: neither more hands nor more room would make it worth more.</li>}
          {data.slice(0, SHOWN).map(({ relief, worthMinor }) => (
            <li key={`${relief.kind === 'workers' ? '' : relief.placeId} ${relief.dayMs}`}>
              <span>{reliefText(relief, places, format)}</span>
              <span>
                worth <strong className="figure">{format.money(worthMinor)}</strong>
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
