import { beforeEach, describe, expect, it } from '@jest/globals';
import { inputsText, KEEP_NOTHING, type Keeper, type OfCar } from '../shop/index.js';
import { FACTS } from '../testing/facts.js';
import { BAY } from '../testing/shop.js';
import type { BandPage } from '../verdict/index.js';
import { CarBook } from './car-book.js';

let room: Map<string, unknown>;
let written = 0;
const keep: Keeper = {
  ...KEEP_NOTHING,
  keeps: true,
  name: inputsText,
  get: <V>(_room: string, inputs: object) => room.get(inputsText(inputs)) as V | undefined,
  set: (_room, inputs, value) => {
    written += 1;
    room.set(inputsText(inputs), value);
  },
};
beforeEach(() => {
  room = new Map();
  written = 0;
});

/** A book in which these pages are asked for, kept afterwards. */
function reading(names: readonly string[], of: OfCar = FACTS): BandPage[] {
  const book = new CarBook(of, keep);
  const pages = names.map((name) => book.page(name));
  book.keepPages();
  return pages;
}
const withStamp = (stamp: string): OfCar => ({ ...FACTS, weather: { ...FACTS.weather, stamp } });

describe('the book of a car', () => {
  it('finds the pages that it kept, each under its own name', () => {
    const [bay, unit] = reading(['bay', 'unit']);
    expect(bay).not.toBe(unit);
    const again = reading(['unit', 'bay']);
    expect(again[0]).toBe(unit);
    expect(again[1]).toBe(bay);
    const book = new CarBook(FACTS, keep);
    expect(book.page('new')).toBe(book.page('new'));
    expect(book.name({ a: 1 })).toBe('{"a":1}');
  });

  it('is another’s for another car, another sky, another place to stand at night', () => {
    const [page] = reading(['bay']);
    const { vehicle } = FACTS.car;
    const others = [
      withStamp('other'),
      { ...FACTS, car: { ...FACTS.car, vehicle: { ...vehicle, id: 'other' } } },
      { ...FACTS, car: { ...FACTS.car, vehicle: { ...vehicle, standsAtPlaceId: BAY.id } } },
    ];
    for (const other of others) expect(reading(['bay'], other)[0]).not.toBe(page);
    // What it costs changes nothing of it.
    const dearer = { ...FACTS, prices: { ...FACTS.prices, saltMinorPerActiveHour: 9 } };
    expect(reading(['bay'], dearer)[0]).toBe(page);
  });

  it('is written again only where something was found out', () => {
    const [page] = reading(['bay']);
    expect(written).toBe(1);
    reading(['bay']);
    expect(written).toBe(1);
    page?.asked.set('a question' as never, {} as never);
    reading(['bay']);
    expect(written).toBe(2);
    reading(['bay', 'unit']);
    expect(written).toBe(3);
  });

  it('gives up a page that nobody asked for three times in a row, and no sooner', () => {
    const [unit] = reading(['unit']);
    reading(['bay 1']);
    reading(['bay 2']);
    expect(reading(['unit'])[0]).toBe(unit);
    for (const name of ['bay 3', 'bay 4', 'bay 5']) reading([name]);
    expect(reading(['unit'])[0]).not.toBe(unit);
  });
});
