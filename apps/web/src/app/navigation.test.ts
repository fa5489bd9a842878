import { describe, expect, it } from '@jest/globals';
import { roomAt, roomsOf, VIEWS, viewsFor, viewsIn } from './navigation.js';

describe('the rooms', () => {
  it('are five, and every view but the settings is in one', () => {
    expect(roomsOf(VIEWS).map(({ label }) => label)).toEqual(['Today', 'Plan', 'Cars', 'Kit', 'Records']);
    expect(VIEWS.filter(({ room }) => room === 'tools').map(({ path }) => path)).toEqual(['/settings']);
  });

  it('have a letter for each view, and no letter twice', () => {
    expect(new Set(VIEWS.map(({ key }) => key)).size).toBe(VIEWS.length);
  });

  it.each([
    ['/', 'today'],
    ['/weather', 'today'],
    ['/plan', 'plan'],
    ['/run/white-hatch-planned', 'plan'],
    ['/round', 'plan'],
    ['/salt/grey-suv', 'cars'],
    ['/desk/film', 'kit'],
    ['/customers', 'records'],
    ['/settings', 'tools'],
    ['/planet', null],
    ['/nowhere', null],
  ])('%s is in %s', (path, room) => {
    expect(roomAt(path)).toBe(room);
  });

  it('a car goes along from one of its views to the next, and to no other view', () => {
    const to = (path: string) =>
      Object.fromEntries(viewsIn('cars', VIEWS, path).map((view) => [view.path, view.to]));
    expect(to('/salt/grey-suv')).toMatchObject({
      '/vehicles': '/vehicles',
      '/windows': '/windows/grey-suv',
      '/condition': '/condition/grey-suv',
    });
    expect(to('/vehicles')['/salt']).toBe('/salt');
    expect(to('/desk/film')['/salt']).toBe('/salt');
  });

  it('of a helper are those of the own work', () => {
    const views = viewsFor('helper');
    expect(roomsOf(views).map(({ id, path }) => [id, path])).toEqual([
      ['today', '/'],
      ['kit', '/kit'],
    ]);
    expect(views[0]?.label).toBe('Your washes');
    const read = viewsFor('bookkeeper').map(({ path }) => path);
    expect(read).toEqual(expect.arrayContaining(['/plan', '/washes', '/customers', '/kit']));
    for (const path of ['/', '/changes', '/clinic', '/salt']) expect(read).not.toContain(path);
    expect(viewsFor('owner')).toBe(VIEWS);
  });
});
