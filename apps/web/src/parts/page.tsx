import { type ReactNode, useEffect, useRef } from 'react';
import { useFocusKept } from './use-focus-kept.js';
import classes from './page.module.css';

interface PageProps {
  readonly title: string;
  readonly lead?: ReactNode;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}

/** A view: its title, what it is for, its actions and its content. */
export function Page({ title, lead, actions, children }: PageProps) {
  const area = useRef<HTMLDivElement>(null);
  useFocusKept(area);
  useEffect(() => {
    document.title = `${title} · Keen Rinse`;
  }, [title]);
  return (
    <div ref={area} className={classes.page}>
      <header className={classes.head}>
        <div>
          <h1>{title}</h1>
          {lead && <p className={classes.lead}>{lead}</p>}
        </div>
        {actions && <div className={`${classes.actions} no-print`}>{actions}</div>}
      </header>
      {children}
    </div>
  );
}
