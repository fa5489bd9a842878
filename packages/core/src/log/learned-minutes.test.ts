import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, type HouseRules } from '../house-rules/index.js';
import { inWay, shopMethod, wayOf, type WayId } from '../method/index.js';
import { VEHICLE } from '../testing/shop.js';
import { type LearnCase, learnedMinutes, withLearned } from './index.js';

const VEHICLES = [
  { ...VEHICLE, id: 'saloon' },
  { ...VEHICLE, id: 'van', bodyClass: 'van' as const },
];

interface Ran {
  readonly vehicleId?: string;
  readonly placeId?: string;
  readonly workerId?: string;
  readonly wayId?: WayId;
  /** How many times as long as counted, by step. */
  readonly times?: Readonly<Record<string, number>>;
  readonly skipped?: readonly string[];
}

/** A finished run of a wash by hand in the bay, as counted unless changed. */
const ran = ({
  vehicleId = 'saloon',
  placeId = 'bay',
  workerId = 'me',
  wayId = 'whole',
  times = {},
  skipped = [],
}: Ran) => {
  const plain = shopMethod(
    'bay-contact',
    DEFAULT_HOUSE,
    VEHICLES.find(({ id }) => id === vehicleId),
  );
  const steps = inWay(plain, wayOf(plain, wayId)).steps.map(({ id, part, minutes }) => ({
    id,
    ...(part ? { part } : {}),
    minutes: minutes * (times[id] ?? 1),
    plannedMinutes: minutes,
    skipped: skipped.includes(id) ? 'no-time' : null,
  }));
  return {
    vehicleId,
    placeId,
    workerId,
    methodId: 'bay-contact',
    status: 'done',
    predicted: { wayId },
    found: { icePanels: [], spots: 'none', leftovers: '', note: '', run: { steps } },
  } as unknown as LearnCase['washes'][number];
};
const learned = (washes: LearnCase['washes'], house: HouseRules = DEFAULT_HOUSE) =>
  learnedMinutes({ washes, vehicles: VEHICLES, house });

describe('minutes that runs tell of', () => {
  const slow = { times: { contact: 4 / 3 } };

  it('are the median of at least three, beside what is counted', () => {
    const three = [ran(slow), ran({ times: { contact: 5 } }), ran({ times: { contact: 1.2 } })];
    expect(learned(three.slice(0, 2))).toEqual([]);
    expect(learned(three)).toMatchObject([
      {
        methodId: 'bay-contact',
        stepId: 'contact',
        key: 'contact-0',
        countedMinutes: 18,
        minutes: 24,
        runs: 3,
      },
    ]);
  });

  it.each([
    { times: 1.14, offers: 0, why: 'under 15 % off' },
    { times: 1.16, offers: 1, why: 'over 15 % off' },
    { times: 0.84, offers: 1, why: 'quicker' },
  ])('offer $offers at $times times: $why', ({ times, offers }) => {
    expect(learned([1, 2, 3].map(() => ran({ times: { contact: times } })))).toHaveLength(offers);
  });

  it('are those of a saloon, whatever bodies were washed', () => {
    const [found] = learned([
      ran(slow),
      ran({ ...slow, vehicleId: 'van' }),
      ran({ ...slow, vehicleId: 'van' }),
    ]);
    expect(found?.minutes).toBe(24);
    expect(found?.byBody).toEqual({ van: { runs: 2, minutes: 24 } });
  });

  it('are given by place and by person where there are two runs', () => {
    const quick = { times: { contact: 0.5 } };
    const [found] = learned([
      ran({ ...slow, placeId: 'unit' }),
      ran({ ...slow, placeId: 'unit', workerId: 'you' }),
      ran({ ...slow, workerId: 'you' }),
      ran({ ...quick, workerId: 'them' }),
    ]);
    expect(found?.byPlace).toEqual({ unit: { runs: 2, minutes: 24 }, bay: { runs: 2, minutes: 16.5 } });
    expect(found?.byPerson).toEqual({ you: { runs: 2, minutes: 24 } });
  });

  it('count the parts of a step together, and not what dwells on each part', () => {
    const parts = { wayId: 'soap-two-panels' as const, times: { contact: 2, foam: 2 } };
    expect(learned([ran(parts), ran(parts), ran(parts)]).map(({ stepId }) => stepId)).toEqual(['contact']);
  });

  it('leave out what was left out', () => {
    const left = { ...slow, skipped: ['contact'] };
    expect(learned([ran(slow), ran(slow), ran(left)])).toEqual([]);
  });

  it('are no longer offered once they are counted', () => {
    const washes = [ran(slow), ran(slow), ran(slow)];
    const [found] = learned(washes);
    if (!found) throw new Error('nothing learned');
    const { steps } = shopMethod('bay-contact', DEFAULT_HOUSE);
    const house = {
      ...DEFAULT_HOUSE,
      variants: { 'bay-contact': withLearned(DEFAULT_HOUSE, found, steps) },
    };
    expect(shopMethod('bay-contact', house).steps.find(({ id }) => id === 'contact')?.minutes).toBe(24);
    expect(shopMethod('bay-contact', house).steps.map(({ id }) => id)).toEqual(steps.map(({ id }) => id));
    expect(learned(washes, house)).toEqual([]);
  });

  it('keep the shop’s own order, notes and what it leaves out', () => {
    const variants = {
      'bay-contact': {
        steps: [
          { key: 'foam-0', minutes: 5, note: 'twice' },
          { key: 'contact-0', minutes: null, note: 'two mitts' },
        ],
        leftOut: ['shuts-0'],
      },
    };
    const own = withLearned({ variants }, { methodId: 'bay-contact', key: 'contact-0', minutes: 24 }, []);
    expect(own).toEqual({
      steps: [
        { key: 'foam-0', minutes: 5, note: 'twice' },
        { key: 'contact-0', minutes: 24, note: 'two mitts' },
      ],
      leftOut: ['shuts-0'],
    });
    expect(
      withLearned({ variants }, { methodId: 'bay-contact', key: 'towel-0', minutes: 9 }, []).steps.at(-1),
    ).toEqual({ key: 'towel-0', minutes: 9, note: '' });
  });
});
