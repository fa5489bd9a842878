import { Select } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { Link } from 'react-router';
import classes from './subject-list.module.css';
import { SUBJECTS, type SubjectId, subjectOf } from './subjects.js';

interface SubjectListProps {
  /** null: something is looked for in all of them. */
  readonly current: SubjectId | null;
  /** How many settings differ from what was shipped. */
  readonly changedIn: (subject: SubjectId) => number;
  readonly onChoose: (subject: SubjectId) => void;
}

/** What the settings are about, each with how much of it the shop has changed; on a phone one field. */
export function SubjectList({ current, changedIn, onChoose }: SubjectListProps) {
  const isNarrow = useMediaQuery('(max-width: 48em)') ?? false;
  const label = (id: SubjectId, name: string): string => {
    const changed = changedIn(id);
    return changed > 0 ? `${name} · ${changed} changed` : name;
  };
  if (isNarrow)
    return (
      <Select
        label="Subject"
        size="md"
        data={SUBJECTS.map(({ id, label: name }) => ({ value: id, label: label(id, name) }))}
        value={current}
        placeholder="All of them"
        allowDeselect={false}
        onChange={(id) => onChoose(subjectOf(id))}
      />
    );
  return (
    <nav aria-label="Subjects" className={classes.subjects}>
      <ul>
        {SUBJECTS.map(({ id, label: name }) => {
          const changed = changedIn(id);
          return (
            <li key={id}>
              <Link
                to={`/settings?about=${id}`}
                aria-current={id === current ? 'page' : undefined}
                onClick={() => onChoose(id)}
              >
                {name}
                {changed > 0 && <span className="muted">{changed} changed</span>}
              </Link>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
