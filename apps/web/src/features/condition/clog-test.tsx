import { Button, Group } from '@mantine/core';
import { clogTest, isSalted, type ClogTry, type WaterBehaviour } from '@keen/core';
import { useState } from 'react';
import { BEHAVIOUR_NAMES, CLEANER_NAMES } from '../../words/car-names.js';
import { optionsOf } from '../../words/names.js';
import classes from './condition.module.css';

interface ClogTestProps {
  readonly before: WaterBehaviour;
  /** On which it has lain under salt. */
  readonly saltDays: number;
  readonly onFound: (behaviour: WaterBehaviour) => void;
}

/** Clogged or gone? One cleaner after another until beads come back or none is left. */
export function ClogTest({ before, saltDays, onFound }: ClogTestProps) {
  const [tries, setTries] = useState<readonly ClogTry[] | null>(null);
  if (before === 'beading') return null;
  if (tries === null) {
    return (
      <Button variant="default" onClick={() => setTries([])}>
        Clogged or gone? Test it
      </Button>
    );
  }
  const answer = clogTest(before, tries, saltDays);
  const last = tries.at(-1);
  return (
    <div className={classes.test} aria-live="polite">
      <strong>Clogged or gone?</strong>
      {tries.length > 0 && (
        <ol>
          {tries.map(({ cleaner, after }) => (
            <li key={cleaner}>
              After {CLEANER_NAMES[cleaner]}: {BEHAVIOUR_NAMES[after].toLowerCase()}
            </li>
          ))}
        </ol>
      )}
      {answer.kind === 'try' && (
        <>
          <p>
            On a hand-sized spot: use {CLEANER_NAMES[answer.cleaner]}, rinse, pour clean water on. What does
            it do?
          </p>
          {answer.cleaner === 'mineral-acid' && isSalted(before, saltDays) && (
            <p className="muted">First, because it has lain under salt, and what salt leaves is mineral.</p>
          )}
          {answer.cleaner === 'mineral-acid' && (
            <p className={classes.caution}>
              Acid: gloves and goggles, never over alkali or with chlorine, seconds only, not on bare metal;
              the data sheet goes first. Neutralise with a wash.
            </p>
          )}
          {answer.cleaner === 'iron-remover' && (
            <p className={classes.caution}>Smells and stings: gloves, fresh air; never let it dry.</p>
          )}
          <Group gap={6}>
            {optionsOf(BEHAVIOUR_NAMES).map(({ value, label }) => (
              <Button
                key={value}
                variant="default"
                onClick={() => setTries([...tries, { cleaner: answer.cleaner, after: value }])}
              >
                {label}
              </Button>
            ))}
          </Group>
        </>
      )}
      {answer.kind === 'clogged' && last && (
        <>
          <p>
            It was clogged: {CLEANER_NAMES[answer.by]} brought it back. Do the rest of the panel; nothing need
            be put on again.
          </p>
          <Button color="lamp.3" onClick={() => onFound(last.after)}>
            Keep what water does now
          </Button>
        </>
      )}
      {answer.kind === 'gone' && (
        <>
          <p>Nothing brought the beads back: it is gone. Put something on before the next salt.</p>
          <Button color="lamp.3" onClick={() => onFound('flat')}>
            Keep it as flat
          </Button>
        </>
      )}
      <Group gap={6}>
        {tries.length > 0 && (
          <Button variant="subtle" onClick={() => setTries(tries.slice(0, -1))}>
            Step back
          </Button>
        )}
        <Button variant="subtle" onClick={() => setTries(null)}>
          Close the test
        </Button>
      </Group>
    </div>
  );
}
