import { describe, expect, it } from '@jest/globals';
import { driveOf, inUsualWay, inWay, METHODS, shopMethod, stagesOf, wayOf, waysOf } from '../method/index.js';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import type { Finish, Place } from '../place/index.js';
import { washTotals } from '../plan/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { RuleId } from '../rules/index.js';
import { coldStreak, STREAK_START as START } from '../testing/cold-streak.js';
import { BAY, circumstances, everyDay, HEATED_UNIT, methodWith, VEHICLE } from '../testing/shop.js';
import type { WeatherHour } from '../weather/index.js';
import {
  cellDetail,
  judgedWays,
  type Judged,
  methodAt,
  placeSites,
  PlaceCalendar,
  PlaceWeather,
  verdictGrid,
  type WeatherSpan,
} from './index.js';

/** Calmer and a little milder than the streak. */
const calm = (change: Partial<WeatherHour>): WeatherSpan =>
  coldStreak({ airTempC: -4, dewPointC: -6, windMetresPerSecond: 1, gustMetresPerSecond: 2, ...change });

const UNIT: Place = { ...HEATED_UNIT, id: 'unit', hasDrain: true, openHours: everyDay(0, 1440) };
const finish = (driveMinutes: number, change: Partial<Place> = {}): Finish => ({
  place: { ...UNIT, ...change },
  driveMinutes,
  priceMinor: 0,
});
const bayWith = (to?: Finish): Place => ({
  ...BAY,
  methods: ['bay-touch-free', 'bay-contact', 'bay-rinse-rinseless'].map((methodId) => ({
    methodId,
    priceMinor: 0,
  })),
  ...(to ? { finish: to } : {}),
});

const at = (place: Place, methodId: string, span: WeatherSpan) => ({
  ...circumstances(span, { vehicle: VEHICLE }),
  place,
  methodId,
  control: span,
  roadAhead: null,
});
const inThatWay = (
  place: Place,
  methodId: string,
  wayId: 'dry-elsewhere' | 'touch-elsewhere',
  span: WeatherSpan,
): Judged => cellDetail({ ...at(place, methodId, span), wayId }, START);
const findingOf = ({ judgement }: Judged, ruleId: RuleId) =>
  judgement.findings.find((finding) => finding.ruleId === ruleId);

describe('a wash that is begun in one place and ended in another', () => {
  const method = methodWith('bay-touch-free');
  const dry = inWay(method, wayOf(method, 'dry-elsewhere'), 7);

  it('is rinsed in the first, driven, and dried in the second', () => {
    const ids = dry.steps.map(({ id }) => id);
    expect(ids.slice(ids.indexOf('drive-on') - 1)).toEqual(['final-rinse', 'drive-on', 'blow', 'towel']);
    expect(dry.steps.filter(({ isElsewhere }) => isElsewhere).map(({ id }) => id)).toEqual(['blow', 'towel']);
    expect(dry.minutes).toBe(method.minutes + 7 + 2);
    expect(dry.litres).toBe(method.litres);
    expect(dry.removes).toEqual(method.removes);
    expect(driveOf(method)).toBeNull();
  });

  it('splits what each place has of it, and loses nothing', () => {
    const [here, there] = stagesOf(dry) ?? [];
    if (!here || !there) throw new Error('it has no stages');
    expect(here.litres + there.litres).toBe(dry.litres);
    expect(here.minutes + there.minutes + 9).toBeCloseTo(dry.minutes, 6);
    expect([here.needs, there.needs]).toEqual([method.needs, []]);
    expect([here.drying.kind, there.drying.kind]).toEqual(['left', 'wiped']);
  });

  it('is offered where the rest needs no water, drain or meter, and to no machine or strip', () => {
    const elsewhere = Object.fromEntries(
      METHODS.map(({ id }) => [
        id,
        waysOf(shopMethod(id, DEFAULT_HOUSE, VEHICLE)).flatMap((way) => (way.isElsewhere ? [way.id] : [])),
      ]),
    );
    expect(elsewhere).toEqual({
      'touchless-automatic': [],
      'bay-touch-free': ['dry-elsewhere', 'dry-elsewhere-thaw'],
      'bay-contact': ['dry-elsewhere', 'dry-elsewhere-thaw'],
      'bay-rinse-rinseless': ['touch-elsewhere', 'touch-elsewhere-thaw'],
      'garage-rinseless': [],
      'garage-hose': ['dry-elsewhere', 'dry-elsewhere-thaw'],
      'drive-hose': ['dry-elsewhere', 'dry-elsewhere-thaw'],
      'rinseless-outdoors': [],
      waterless: [],
      'salt-flush': [],
      'strip-reseal': [],
      'pre-coating': [],
      'winter-strip': [],
      'pre-coating-air': [],
      'rinseless-heavy': [],
    });
  });

  it('costs the same at the meter, whose clock does not go on, and what the second place wants', () => {
    const alone = washTotals(BAY, inUsualWay(method)).moneyMinor;
    expect(washTotals(BAY, dry).moneyMinor).toBe(alone);
    const dear = { ...BAY, finish: { ...finish(7), priceMinor: 850 } };
    expect(washTotals(dear, dry).moneyMinor).toBe(alone + 850);
    expect(washTotals(dear, inUsualWay(method)).moneyMinor).toBe(alone);
  });

  it('is no way of a place that has no second one, and a plan that has it still is worked through', () => {
    const ways = judgedWays(at(bayWith(), 'bay-touch-free', calm({})), START).map(({ wayId }) => wayId);
    expect(ways).not.toContain('dry-elsewhere');
    expect(methodAt(method, 'dry-elsewhere', {}).wayId).toBe('whole');
    expect(inThatWay(bayWith(), 'bay-touch-free', 'dry-elsewhere', calm({})).wayId).toBe('whole');
  });
});

describe('what the weather does to it', () => {
  it('goes through the hours of both places and of the road between them', () => {
    const place = bayWith(finish(10));
    const method = inWay(
      methodWith('bay-touch-free'),
      wayOf(methodWith('bay-touch-free'), 'dry-elsewhere'),
      10,
    );
    const hours = new PlaceWeather(new PlaceCalendar(place), calm({})).washHours(START, method) ?? [];
    const drive = driveOf(method);
    expect(hours.map(({ fromMinute }) => fromMinute)).toEqual([0, drive?.fromMinute, drive?.toMinute]);
    expect(hours.map(({ site }) => site.air.airTempC)).toEqual([-4, -4, 14]);
    expect(hours.map(({ site }) => site.isDriven ?? false)).toEqual([false, true, false]);
    expect(hours[1]?.site.air.airSpeedMetresPerSecond).toBe(8);
    const crossesTheHour = new PlaceWeather(new PlaceCalendar(place), calm({})).washHours(
      START + 50 * MS_PER_MINUTE,
      method,
    );
    expect(crossesTheHour?.map(({ fromMinute }) => fromMinute)).toEqual([
      0,
      10,
      drive?.fromMinute,
      drive?.toMinute,
    ]);
  });

  it('goes in a warm unit near by where the bay is too cold to dry in, and says so', () => {
    const cold = calm({ airTempC: -14, dewPointC: -17 });
    const alone = cellDetail(at(bayWith(), 'bay-rinse-rinseless', cold), START);
    expect(alone.judgement.standing).toBe('no');
    // Glazed by the road, and still when the hand would come: it has to thaw first.
    const near = inThatWay(bayWith(finish(3)), 'bay-rinse-rinseless', 'touch-elsewhere', cold);
    expect(findingOf(near, 'ice-on-car')?.level).toBe('block');
    const found = cellDetail(at(bayWith(finish(3)), 'bay-rinse-rinseless', cold), START);
    expect(found.wayId).toBe('touch-elsewhere-thaw');
    expect(found.judgement.standing).toBe('go-if');
    expect(found.judgement.findings.some(({ remedy }) => remedy === 'finish-elsewhere')).toBe(true);
  });

  it('is left alone where the usual way goes', () => {
    const mild = calm({ airTempC: 12, dewPointC: 9 });
    const found = cellDetail(at(bayWith(finish(3)), 'bay-touch-free', mild), START);
    expect([found.wayId, found.judgement.standing]).toEqual(['whole', 'go']);
  });

  it('a longer drive in frost never makes it go', () => {
    const cold = calm({ airTempC: -9, dewPointC: -12 });
    const order = ['go', 'go-if', 'no'];
    const standings = [2, 6, 12, 25].map((minutes) =>
      order.indexOf(
        inThatWay(bayWith(finish(minutes)), 'bay-touch-free', 'dry-elsewhere', cold).judgement.standing,
      ),
    );
    expect([...standings].sort((a, b) => a - b)).toEqual(standings);
    expect(standings.at(-1)).toBe(2);
  });

  it('a second place as cold as the first melts nothing', () => {
    const cold = calm({ airTempC: -14, dewPointC: -17 });
    const outdoors = finish(5, { climate: { kind: 'outdoors' }, shelter: { kind: 'open', horizon: [] } });
    expect(inThatWay(bayWith(outdoors), 'bay-touch-free', 'dry-elsewhere', cold).judgement.standing).toBe(
      'no',
    );
  });
});

describe('the rules of both places', () => {
  const span = calm({ airTempC: 8, dewPointC: 4 });
  const dried = (to: Finish) => inThatWay(bayWith(to), 'bay-touch-free', 'dry-elsewhere', span);

  it('each has to be open for its own part', () => {
    expect(findingOf(dried(finish(5)), 'open-hours')?.level).toBe('clear');
    // At 10:00 there; the bay is done by half past.
    const shut = findingOf(dried(finish(5, { openHours: everyDay(0, 620) })), 'open-hours');
    expect(shut).toMatchObject({ level: 'block', isElsewhere: true });
    const opens = findingOf(dried(finish(5, { openHours: everyDay(620, 1440) })), 'open-hours');
    expect(opens?.level).toBe('clear');
  });

  it('rain falls on it only where it is dried', () => {
    const rain = calm({ airTempC: 8, dewPointC: 6, precipMm: 3, precipKind: 'rain' });
    const outdoors = { climate: { kind: 'outdoors' }, shelter: { kind: 'open', horizon: [] } } as const;
    const wet = (to: Finish) => inThatWay(bayWith(to), 'bay-touch-free', 'dry-elsewhere', rain);
    expect(findingOf(wet(finish(5)), 'falling')?.level).toBe('clear');
    expect(findingOf(wet(finish(5, outdoors)), 'falling')).toMatchObject({
      level: 'block',
      isElsewhere: true,
    });
  });

  it('what one of them forbids concerns what is done there', () => {
    const noHands = { ...bayWith(finish(5)), forbids: ['no-contact'] as const };
    const here = cellDetail({ ...at(noHands, 'bay-rinse-rinseless', span), wayId: 'touch-elsewhere' }, START);
    // What forbids it in the usual way is what it gets round.
    expect(findingOf(here, 'site-rule')).toMatchObject({ level: 'condition', remedy: 'finish-elsewhere' });
    const there = { ...bayWith(finish(5, { forbids: ['no-contact'] })) };
    const refused = cellDetail(
      { ...at(there, 'bay-rinse-rinseless', span), wayId: 'touch-elsewhere' },
      START,
    );
    expect(findingOf(refused, 'site-rule')).toMatchObject({ level: 'block', isElsewhere: true });
  });

  it('is asked of every member in the places and on the road as they are there', () => {
    const members = [calm({}), calm({ airTempC: -25, dewPointC: -28 })];
    const control = calm({ airTempC: -6, dewPointC: -9 });
    const [band] = verdictGrid({
      ...circumstances(control, { vehicle: VEHICLE }),
      sites: placeSites([bayWith(finish(3))], { control, members }),
      startsMs: [START],
      withMembers: true,
    }).filter(({ methodId }) => methodId === 'bay-touch-free');
    const cell = band?.cells[0];
    expect(cell?.blockedFraction).toBe(0.5);
  });
});
