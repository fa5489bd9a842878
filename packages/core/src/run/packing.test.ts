import { describe, expect, it } from '@jest/globals';
import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { BAY, DRIVE, HEATED_UNIT, methodWith } from '../testing/shop.js';
import { type PackItem, preparation } from './preparation.js';

const COST = { visitMinor: 500, meterMinor: 900, meter: null } as never;
const CLEAN = { mitts: null, foldedTowels: null, dryingTowels: null };

function packed(
  method: Method,
  place: Place,
  {
    isDark = false,
    placeC = 4,
    media = method.media,
  }: { isDark?: boolean; placeC?: number; media?: Method['media'] } = {},
): readonly PackItem[] {
  const wash = { place, method, cost: COST, mixes: [], cloths: { media, faces: [] }, clean: CLEAN };
  return preparation(wash, { outdoorsC: -4, placeC, windMetresPerSecond: 2, isDark }).pack;
}
const NONE = { mitts: 0, foldedTowels: 0, dryingTowels: 0 };
const CONTACT = methodWith('bay-contact');
const away = (change: Partial<Place>): Place => ({ ...BAY, ...change });

describe('what is packed', () => {
  it.each<{ why: string; item: PackItem; with: readonly PackItem[]; without: readonly PackItem[] }>([
    {
      why: 'a liner for wet cloths where one drives home with them',
      item: 'boot-liner',
      with: packed(CONTACT, away({ travelMinutes: 10 })),
      without: packed(CONTACT, away({ travelMinutes: 0 })),
    },
    {
      why: 'a liner for towels alone too',
      item: 'boot-liner',
      with: packed(CONTACT, BAY, { media: { ...NONE, foldedTowels: 2 } }),
      without: packed(CONTACT, BAY, { media: { ...NONE, dryingTowels: 2 } }),
    },
    {
      why: 'a liner for mitts alone too',
      item: 'boot-liner',
      with: packed(CONTACT, BAY, { media: { ...NONE, mitts: 1 } }),
      without: packed(CONTACT, BAY, { media: NONE }),
    },
    {
      why: 'a lamp in the dark where none hangs',
      item: 'light',
      with: packed(CONTACT, away({ hasLight: false }), { isDark: true }),
      without: packed(CONTACT, away({ hasLight: true }), { isDark: true }),
    },
    {
      why: 'no lamp by day',
      item: 'light',
      with: packed(CONTACT, DRIVE, { isDark: true }),
      without: packed(CONTACT, DRIVE),
    },
    {
      why: 'gloves with a lining below 8 °C',
      item: 'lined-gloves',
      with: packed(CONTACT, BAY, { placeC: 7.9 }),
      without: packed(CONTACT, BAY, { placeC: 8 }),
    },
    {
      why: 'grit where water freezes on the ground',
      item: 'grit',
      with: packed(CONTACT, BAY, { placeC: -0.1 }),
      without: packed(CONTACT, BAY, { placeC: 0 }),
    },
    {
      why: 'no grit for a floor indoors',
      item: 'grit',
      with: packed(CONTACT, BAY, { placeC: -3 }),
      without: packed(CONTACT, HEATED_UNIT, { placeC: -3 }),
    },
    {
      why: 'something to push water with indoors',
      item: 'floor-squeegee',
      with: packed(CONTACT, HEATED_UNIT),
      without: packed(CONTACT, BAY),
    },
    {
      why: 'a cover for a drain indoors',
      item: 'drain-cover',
      with: packed(CONTACT, { ...HEATED_UNIT, hasDrain: true }),
      without: packed(CONTACT, HEATED_UNIT),
    },
    {
      why: 'coins where a meter takes them',
      item: 'coins-or-card',
      with: packed(CONTACT, BAY),
      without: packed(CONTACT, away({ tariff: null })),
    },
    {
      why: 'a sheet against the neighbour’s dust',
      item: 'dust-sheet',
      with: packed(CONTACT, away({ forbids: ['neighbour-close'] })),
      without: packed(CONTACT, BAY),
    },
    {
      why: 'a mat where a neighbour is close and there is no drain',
      item: 'drip-mat',
      with: packed(CONTACT, away({ forbids: ['neighbour-close'], hasDrain: false })),
      without: packed(CONTACT, away({ forbids: ['neighbour-close'], hasDrain: true })),
    },
  ])('is $why', (one) => {
    expect(one.with).toContain(one.item);
    expect(one.without).not.toContain(one.item);
  });
});
