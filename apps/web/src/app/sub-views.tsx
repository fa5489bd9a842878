import { NavLink, useLocation } from 'react-router';
import classes from './sub-views.module.css';
import { roomAt, type View, viewsIn } from './navigation.js';

/** The views of the room that one is in, at the same place on every page of it. */
export function SubViews({ views }: { readonly views: readonly View[] }) {
  const { pathname } = useLocation();
  const inside = viewsIn(roomAt(pathname), views, pathname);
  if (inside.length < 2) return null;
  return (
    <nav className={`${classes.row} no-print`} aria-label="In this room">
      {inside.map(({ path, to, label }) => (
        <NavLink key={path} to={to} end={path === '/'}>
          {label}
        </NavLink>
      ))}
    </nav>
  );
}
