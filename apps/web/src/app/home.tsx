import { lazy } from 'react';
import { useRole } from '../api/access-queries.js';
import { MorningPage } from '../features/morning/morning-page.js';

const OwnWashes = lazy(async () => ({ default: (await import('../features/run/own-washes.js')).OwnWashes }));

/** The first view: the morning of the shop; for a helper the own washes. */
export function Home() {
  return useRole() === 'helper' ? <OwnWashes /> : <MorningPage />;
}
