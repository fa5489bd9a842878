import { MS_PER_MINUTE } from '../quantity/index.js';
import { inWay, type Method, type Way, type WayId, waysOf } from '../method/index.js';
import type { Place } from '../place/index.js';
import {
  judgeAll,
  findAlways,
  findSettled,
  judgeKnown,
  type KnownFindings,
  type Judgement,
  type Situation,
  WATER_RULE_IDS,
} from '../rules/index.js';
import { tracksOf, type WaterOutcome, type WashHours } from '../wash/index.js';
import { type HowThorough, type LookedAt, type WayCase, withRemedy } from './judged.js';
import { blocksOf, rulesOf } from './blocks.js';
import { OtherWays } from './other-ways.js';
import type { RuledBy } from './circumstances.js';
import type { MemberFailures } from './failed-fraction.js';
import { memberFailures } from './member-failures.js';
import type { PlaceSite } from './site-hours.js';
import type { PlaceWeather } from './place-weather.js';
import { stageSituations } from './two-places.js';
import { type LookedUntil, WaterLook } from './water-look.js';

/** One car, one place and one method under the control forecast and every member. */
export class BandJudge {
  private readonly ways: readonly Way[];
  private readonly others: OtherWays;
  private readonly cases = new Map<Method, Map<WayId, WayCase>>();
  /** Starts that go, for the members to be asked about; filled where somebody means to ask. */
  readonly going = new Map<number, LookedAt>();
  private readonly water: WaterLook;

  /** @param methodAt the method as it is done in some cold, °C, with the bottles that work there */
  constructor(
    private readonly place: Place,
    private readonly methodAt: (placeC: number | null) => Method,
    private readonly around: RuledBy,
    private readonly weather: Pick<PlaceSite, 'control' | 'members'>,
  ) {
    this.ways = waysOf(methodAt(null)).filter(
      ({ isElsewhere }) => !isElsewhere || place.finish !== undefined,
    );
    this.others = new OtherWays(this.ways, {
      caseOf: (plain, way) => this.caseOf(plain, way),
      lookedIn: (one, startMs) => this.lookedIn(one, startMs),
      failsAgain: (one, startMs) => {
        const hours = this.hoursOf(one, startMs);
        return hours && this.water.failsAgain(one, startMs, hours);
      },
      judgeIn: (one, startMs, looked) => this.judgeIn(one, startMs, looked),
    });
    this.water = new WaterLook(place, (startMs, method) => this.windowOf(startMs, method));
  }

  private caseOf(plain: Method, way: Way): WayCase {
    const cases = this.cases.get(plain) ?? new Map<WayId, WayCase>();
    this.cases.set(plain, cases);
    const known = cases.get(way.id);
    if (known) return known;
    const method = inWay(plain, way, this.place.finish?.driveMinutes);
    const tracks = tracksOf({ ...this.around, place: this.place, method }, this.around.limits);
    const situation = this.situation(0, method);
    const stages = stageSituations(situation, null) ?? undefined;
    const always = findAlways({ ...situation, stages, site: null, water: null });
    const made = { way, method, tracks, always };
    cases.set(way.id, made);
    return made;
  }

  private usualOf(plain: Method): WayCase {
    const [usual] = this.ways;
    if (!usual) throw new RangeError(`BandJudge: methodId is ${plain.id}; it can be done in no way`);
    return this.caseOf(plain, usual);
  }

  /** Coldest air of the wash where it is done, °C; null: not known. */
  private airC(startMs: number): number | null {
    return this.weather.control.siteWeather(startMs, this.methodAt(null).minutes)?.airTempC ?? null;
  }

  situation(startMs: number, method: Method): Omit<Situation, 'site' | 'water'> {
    const { limits, house, soil, night, vehicle } = this.around;
    const overnightC = night.coldestAfterC(startMs + method.minutes * MS_PER_MINUTE);
    return { limits, house, soil, overnightC, vehicle, place: this.place, method };
  }

  /** The clock, the light and the weather of the place over a wash. */
  private windowOf(startMs: number, method: Method): Situation {
    const { control } = this.weather;
    const site = control.siteWindow(startMs, method.minutes);
    const situation = { site, water: null, ...this.situation(startMs, method) };
    const stages = stageSituations(situation, { startMs, weather: control });
    return stages ? { ...situation, stages } : situation;
  }

  private hoursOf(way: WayCase, startMs: number): WashHours | null {
    return this.weather.control.washHours(startMs, way.method);
  }

  private judgeIn(
    way: WayCase,
    startMs: number,
    { water, known = way.always }: { readonly water: WaterOutcome | null; readonly known?: KnownFindings },
  ): Judgement {
    const situation = this.windowOf(startMs, way.method);
    return judgeAll(Object.assign(situation, { water }), known);
  }

  /**
   * Judges a start under the control forecast.
   *
   * @param how `thorough` looks at all the water even where something says no already; else the first that says no will do, unless the
   * `margins` of what does not go are wanted too. `usual` tries no other way
   */
  judge(startMs: number, how: HowThorough): LookedAt {
    const placeC = this.airC(startMs);
    const plain = this.methodAt(placeC);
    const usual = this.usualOf(plain);
    const { method } = usual;
    const base = { wayId: usual.way.id, placeC, method, water: null, pieces: [] };
    const known = findSettled(this.windowOf(startMs, method), usual.always);
    const settled = judgeKnown(known);
    if (!how.thorough && settled.standing === 'no') {
      const against = blocksOf(settled);
      const found = how.ways === 'all' ? this.others.elsewhere(plain, startMs, against) : null;
      if (!found) return { ...base, judgement: settled };
      return withRemedy({ ...found, placeC }, rulesOf(against));
    }
    const hours = this.hoursOf(usual, startMs);
    if (!hours) return { ...base, judgement: this.judgeIn(usual, startMs, { water: null, known }) };
    const looked = how.thorough
      ? this.water.look(usual, hours)
      : this.water.untilBlocked(usual, startMs, hours);
    const plainly = {
      ...base,
      ...looked,
      judgement: this.judgeIn(usual, startMs, { water: looked.water, known }),
    };
    const blocks = blocksOf(plainly.judgement);
    const isWaterAlone = blocks.every(({ ruleId }) => WATER_RULE_IDS.has(ruleId));
    if (how.ways === 'usual' || blocks.length === 0) return plainly;
    const found = isWaterAlone
      ? this.others.first(plain, startMs, { fails: looked.water, blocked: rulesOf(blocks) })
      : this.others.elsewhere(plain, startMs, blocks);
    if (!found)
      return how.margins && !how.thorough
        ? this.judge(startMs, { ...how, thorough: true, ways: 'usual' })
        : plainly;
    // What becomes its condition is all that stood against the usual way.
    const against = how.thorough
      ? blocks
      : blocksOf(this.judgeIn(usual, startMs, this.water.look(usual, hours)));
    return withRemedy({ ...found, placeC }, rulesOf(against));
  }

  /** Judges a start in this way and no other; what it gets round of the usual way becomes its condition. */
  judgeAs(startMs: number, wayId: WayId): LookedAt {
    const placeC = this.airC(startMs);
    const plain = this.methodAt(placeC);
    const usually = this.judge(startMs, { thorough: true, ways: 'usual' });
    const way = this.ways.find(({ id }) => id === wayId);
    if (!way || way.id === usually.wayId) return usually;
    const one = this.caseOf(plain, way);
    const hours = this.hoursOf(one, startMs);
    const looked = hours ? this.water.look(one, hours) : { water: null, pieces: [] };
    const judgement = this.judgeIn(one, startMs, looked);
    const found = { ...looked, judgement, wayId: way.id, placeC, method: one.method, way };
    return withRemedy(found, rulesOf(blocksOf(usually.judgement)));
  }

  /** The same in every way that there is. */
  judgeWays(startMs: number): LookedAt[] {
    return this.ways.map(({ id }) => this.judgeAs(startMs, id));
  }

  private lookedIn(one: WayCase, startMs: number): LookedUntil | null {
    const hours = this.hoursOf(one, startMs);
    return hours && this.water.untilBlocked(one, startMs, hours);
  }

  /** In which members this start fails in its way, and by what; null where none of them reaches so far. */
  failures(startMs: number, judged: LookedAt): MemberFailures | null {
    const { place, around, weather } = this;
    const situation = this.situation(startMs, judged.method);
    const stagesAt = (member: PlaceWeather): Situation[] | null =>
      stageSituations(situation, { startMs, weather: member });
    return memberFailures(judged, { startMs, place, limits: around.limits, weather, situation, stagesAt });
  }
}
