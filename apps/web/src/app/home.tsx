import { lazy } from 'react';
import { Navigate } from 'react-router';
import { useRole } from '../api/access-queries.js';
import { MorningPage } from '../features/morning/morning-page.js';

const OwnWashes = lazy(async () => ({ default: (await import('../features/run/own-washes.js')).OwnWashes }));

/** The first view: the morning of the shop; for a helper the own washes, for a bookkeeper all of them. */
export function Home() {
  const role = useRole();
  if (role === 'bookkeeper') return <Navigate to="/washes" replace />;
  return role === 'helper' ? <OwnWashes /> : <MorningPage />;
}
