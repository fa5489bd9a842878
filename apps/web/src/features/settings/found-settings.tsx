import type { Settings } from '@keen/core';
import type { SettingsChange } from '../../api/queries.js';
import { Link } from 'react-router';
import { Empty } from '../../parts/states.js';
import { HouseRules } from './house-rules.js';
import { groupsFound, type NumberGroup, rulesFound, type Wanted } from './number-groups.js';
import { NumberRows } from './number-rows.js';
import classes from './settings.module.css';
import { isAbout, SUBJECTS, type SubjectId } from './subjects.js';

interface FoundProps {
  readonly settings: Settings;
  readonly groups: readonly NumberGroup[];
  readonly wanted: Wanted;
  readonly onSave: (change: SettingsChange) => Promise<unknown>;
  readonly onChoose: (subject: SubjectId) => void;
}

/** Settings of every subject that have to do with what was typed, to be changed where they stand. */
export function FoundSettings({ settings, groups, wanted, onSave, onChoose }: FoundProps) {
  const { choices } = settings.house;
  const found = groupsFound(groups, wanted);
  const rules = rulesFound(choices, wanted);
  const subjects = wanted.onlyChanged
    ? []
    : SUBJECTS.filter(({ label, about }) => isAbout(wanted.text, label, about));
  if (found.length + rules.length + subjects.length === 0)
    return (
      <Empty
        title={wanted.text === '' ? 'Everything is as it was shipped' : 'No setting has to do with that'}
      />
    );
  return (
    <>
      {subjects.length > 0 && (
        <p className={classes.subjects}>
          {subjects.map(({ id, label }) => (
            <Link key={id} to={`/settings?about=${id}`} onClick={() => onChoose(id)}>
              {label}
            </Link>
          ))}
        </p>
      )}
      {rules.length > 0 && (
        <section className={classes.box}>
          <h2>House rules</h2>
          <HouseRules
            only={rules}
            choices={choices}
            onChoose={(change) => onSave({ house: { choices: change } })}
          />
        </section>
      )}
      {found.map((group) => (
        <section key={group.key} className={classes.box}>
          <h2>{group.title}</h2>
          <NumberRows
            rows={group.rows}
            values={group.values}
            onSave={(id, value) => onSave(group.change(id, value))}
          />
        </section>
      ))}
    </>
  );
}
