import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { inUsualWay, waysOf } from '../method/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { CLEAN } from '../soil/index.js';
import { coldStreak, STREAK_FROM } from '../testing/cold-streak.js';
import { DRIVE, methodWith, VEHICLE } from '../testing/shop.js';
import { tracksOf, type WashHours } from '../wash/index.js';
import { PlaceCalendar, PlaceWeather } from './index.js';
import type { WayCase } from './judged.js';
import { WaterLook } from './water-look.js';

const method = inUsualWay(methodWith('drive-hose'));
const [way] = waysOf(method);
if (!way) throw new Error('it can be done in no way');
const wash: WayCase = {
  way,
  method,
  tracks: tracksOf({ vehicle: VEHICLE, place: DRIVE, method }, DEFAULT_LIMITS),
  always: [],
};

function hoursAt(airTempC: number): WashHours {
  const weather = new PlaceWeather(
    new PlaceCalendar(DRIVE),
    coldStreak({ airTempC, dewPointC: airTempC - 2 }),
  );
  const hours = weather.washHours(STREAK_FROM, method);
  if (!hours) throw new Error('no weather');
  return hours;
}
const [frost, mild] = [hoursAt(-18), hoursAt(9)];

const freshLook = (): WaterLook =>
  new WaterLook(DRIVE, (_startMs, of) => ({
    limits: DEFAULT_LIMITS,
    house: DEFAULT_HOUSE,
    soil: CLEAN,
    vehicle: VEHICLE,
    place: DRIVE,
    method: of,
    overnightC: null,
    site: null,
    water: null,
  }));

describe('a look at the water of a wash', () => {
  it('ends at the first piece that fails, and begins with it the next time', () => {
    const look = freshLook();
    const first = look.untilBlocked(wash, STREAK_FROM, frost);
    expect(first.fails).toContain('ice-on-car');
    expect(first.pieces).toHaveLength(1);
    expect(look.failsAgain(wash, STREAK_FROM, frost)).toEqual(first);
  });

  it('has every piece where none fails, and nothing that fails again', () => {
    const look = freshLook();
    look.untilBlocked(wash, STREAK_FROM, frost);
    expect(look.failsAgain(wash, STREAK_FROM, mild)).toBeNull();
    const whole = look.untilBlocked(wash, STREAK_FROM, mild);
    expect(whole.fails.size).toBe(0);
    expect(whole).toMatchObject(look.look(wash, mild));
  });

  it('asks only the piece that failed last: before one has, nothing fails again', () => {
    expect(freshLook().failsAgain(wash, STREAK_FROM, frost)).toBeNull();
  });
});
