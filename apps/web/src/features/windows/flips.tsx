import { Button } from '@mantine/core';
import type { Flip, CellQuery } from '@keen/core';
import { useState } from 'react';
import { useFlips } from '../../api/verdict-queries.js';
import type { Format } from '../../format/format.js';
import { Failed, Loading } from '../../parts/states.js';
import { FLIP_NAMES } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import { flipValue, sortFlips } from './flip-view.js';
import classes from './reasons.module.css';

interface FlipsProps {
  readonly query: CellQuery;
  readonly format: Format;
}

/** What would change the answer: each input's nearest change, found by search on the engine when it is asked for. */
export function Flips({ query, format }: FlipsProps) {
  const [asked, setAsked] = useState<CellQuery | null>(null);
  const isAsked = asked !== null && JSON.stringify(asked) === JSON.stringify(query);
  const { data, error, isFetching } = useFlips(isAsked ? query : null);
  if (!isAsked)
    return (
      <Button variant="default" onClick={() => setAsked(query)}>
        What would change this answer?
      </Button>
    );
  if (error) return <Failed error={error} />;
  if (isFetching || !data) return <Loading what="Searching the nearest changes" />;
  return <FlipTable flips={data} format={format} />;
}

function FlipTable({ flips, format }: { readonly flips: readonly Flip[]; readonly format: Format }) {
  return (
    <section aria-label="What would change this answer">
      <h3 className={classes.subhead}>What would change this answer</h3>
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">Input</th>
            <th scope="col">Now</th>
            <th scope="col">Changes at</th>
            <th scope="col">To</th>
          </tr>
        </thead>
        <tbody>
          {sortFlips(flips).map((flip) => (
            <tr key={flip.input}>
              <th scope="row">{FLIP_NAMES[flip.input]}</th>
              <td className="figure">{flipValue(flip.input, flip.now, format)}</td>
              <td className="figure">
                {flip.at === null ? 'not in its range' : flipValue(flip.input, flip.at, format)}
              </td>
              <td>
                {flip.standing && flip.limiting
                  ? verdictText(flip.standing, flip.limiting, format)
                  : `same from ${flipValue(flip.input, flip.low, format)} to ${flipValue(flip.input, flip.high, format)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="muted">
        One input is moved at a time, the rest stay as forecast. The search looks outwards in steps of about a
        twentieth of the range, then closes in; a very narrow exception could be stepped over.
      </p>
    </section>
  );
}
