import { Select } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { Link, useNavigate } from 'react-router';
import classes from './desk.module.css';
import { SUM_GROUPS } from './sums.js';

/** What the desk answers, by subject; on a phone one field. */
export function SumList({ current }: { readonly current: string }) {
  const isNarrow = useMediaQuery('(max-width: 48em)') ?? false;
  const go = useNavigate();
  if (isNarrow)
    return (
      <Select
        label="What you want to know"
        size="md"
        data={SUM_GROUPS.map(({ title, sums }) => ({
          group: title,
          items: sums.map(({ name, label }) => ({ value: name, label })),
        }))}
        value={current}
        allowDeselect={false}
        maxDropdownHeight={420}
        onChange={(name) => name && void go(`/desk/${name}`)}
      />
    );
  return (
    <nav aria-label="Sums" className={classes.list}>
      {SUM_GROUPS.map(({ title, sums }) => (
        <section key={title}>
          <h2>{title}</h2>
          <ul>
            {sums.map(({ name, label }) => (
              <li key={name}>
                <Link to={`/desk/${name}`} aria-current={name === current ? 'page' : undefined}>
                  {label}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </nav>
  );
}
