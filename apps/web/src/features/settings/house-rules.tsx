import { Radio } from '@mantine/core';
import { HOUSE_RULES, type HouseChoices } from '@keen/core';
import { useState } from 'react';
import { noticeOfFailure } from '../../parts/notices.js';
import classes from './settings.module.css';

interface HouseRulesProps {
  readonly choices: HouseChoices;
  /** Left out: every question. */
  readonly only?: readonly (keyof HouseChoices)[];
  readonly onChoose: (change: Partial<HouseChoices>) => Promise<unknown>;
}

/** The questions on which good people disagree: every school in a line, and what the choice moves. */
export function HouseRules({ choices, only, onChoose }: HouseRulesProps) {
  // What was chosen shows at once, and goes back if it could not be kept.
  const [onItsWay, setOnItsWay] = useState<Partial<HouseChoices>>({});
  const choose = (change: Partial<HouseChoices>): void => {
    setOnItsWay(change);
    onChoose(change)
      .catch(noticeOfFailure)
      .finally(() => setOnItsWay({}));
  };
  const shown = { ...choices, ...onItsWay };
  return (
    <div className={classes.house}>
      {HOUSE_RULES.filter(({ id }) => only?.includes(id) ?? true).map(({ id, question, options, moves }) => (
        <fieldset key={id}>
          <legend>{question}</legend>
          <div className={classes.schools}>
            {options.map((option, i) => (
              <Radio
                key={option.id}
                name={id}
                value={option.id}
                label={`${option.says}${i === 0 ? ' (as shipped)' : ''}`}
                checked={shown[id] === option.id}
                onChange={() => choose({ [id]: option.id })}
              />
            ))}
          </div>
          <p className="muted" style={{ margin: '0.25rem 0 0' }}>
            Moves {moves}.
          </p>
        </fieldset>
      ))}
    </div>
  );
}
