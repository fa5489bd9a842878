import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { DEPENDENT_VIEWS, type RecordKind, VIEWS } from './stale.js';

const kindsThatRefresh = (view: string): string[] =>
  (Object.keys(DEPENDENT_VIEWS) as RecordKind[]).filter((kind) =>
    (DEPENDENT_VIEWS[kind] as readonly string[]).includes(view),
  );

describe('what depends on what', () => {
  it.each([
    { view: 'settings', by: ['washes', 'runs', 'settings'] },
    { view: 'kit', by: ['washes', 'runs', 'vehicles', 'places', 'settings', 'kit', 'weather', 'clock'] },
    {
      view: 'messages',
      by: [
        'washes',
        'runs',
        'vehicles',
        'places',
        'settings',
        'customers',
        'erased',
        'bookings',
        'messages',
        'weather',
        'clock',
      ],
    },
    {
      view: 'bookings',
      by: ['washes', 'runs', 'vehicles', 'places', 'settings', 'customers', 'erased', 'bookings', 'clock'],
    },
    {
      view: 'calendar',
      by: ['washes', 'runs', 'vehicles', 'places', 'settings', 'customers', 'erased', 'calendar', 'clock'],
    },
    { view: 'vehicles', by: ['runs', 'vehicles', 'customers', 'erased'] },
  ])('$view', ({ view, by }) => {
    expect(kindsThatRefresh(view).sort()).toEqual([...by].sort());
  });

  it('has the noted changes follow every record of which they are noted', () => {
    const notNoted = ['calendar', 'bulletins', 'backups', 'clock'];
    const all = Object.keys(DEPENDENT_VIEWS).filter((kind) => !notNoted.includes(kind));
    expect(kindsThatRefresh('audit').sort()).toEqual(all.sort());
  });

  it('has the plan and the verdicts follow every record that they are worked out from', () => {
    const all = Object.keys(DEPENDENT_VIEWS).filter(
      (kind) => !['messages', 'spots', 'backups', 'access'].includes(kind),
    );
    expect(kindsThatRefresh('plan').sort()).toEqual(all.sort());
    expect(kindsThatRefresh('verdicts').sort()).toEqual(all.sort());
  });

  it('names every query of the program by a view that is known, and each view is asked somewhere', () => {
    const folder = import.meta.dirname;
    const text = readdirSync(folder)
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
      .map((name) => readFileSync(join(folder, name), 'utf8'))
      .join('\n');
    const asked = new Set([...text.matchAll(/queryKey: \['([a-z-]+)'/g)].map((match) => match[1]));
    asked.add('plan');
    expect([...asked].sort()).toEqual([...VIEWS].sort());
  });

  it('lets no mutation go round the table', () => {
    const source = join(import.meta.dirname, '..');
    const files = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter(
      (name) => /\.tsx?$/.test(name) && !name.endsWith('.test.ts'),
    );
    const round = files.filter((name) => /useMutation\(/.test(readFileSync(join(source, name), 'utf8')));
    expect(round).toEqual([join('api', 'change.ts')]);
  });
});
