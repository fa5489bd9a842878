import { describe, expect, it } from '@jest/globals';
import { methodOf } from '../method/index.js';
import { DEFAULT_HOUSE } from '../house/index.js';
import { CLEAN } from '../soil/index.js';
import { DRIVE, houseWith, VEHICLE, WATER } from '../testing/shop.js';
import { byGroup } from '../vehicle/index.js';
import {
  combine,
  DEFAULT_LIMITS,
  type FilmOutcome,
  type Finding,
  judgeAll,
  LIMITS,
  RULES,
  type RuleId,
  ruleOf,
  type SiteWindow,
  type Situation,
} from './index.js';

const MILD: SiteWindow = {
  open: { kind: 'open', minutesLeft: 600 },
  lightLeftMinutes: 120,
  lightAtStart: true,
  windChillC: 5,
  airTempC: 5,
  queueMinutes: 0,
  dryRoadHours: 24,
  mostPrecipMm: 0,
  coldestNearbyC: 4,
  coldestNext12hC: 4,
};

const CALM: FilmOutcome = {
  ice: { panel: 'roof', minutes: null },
  dry: { panel: 'bonnet', minutes: 40 },
  filmGramsPerM2: 100,
  coldest: { panel: 'roof', tempC: 3 },
  warmestC: 12,
  product: { panel: 'roof', minutes: null },
  sun: { panel: 'left', brightestWm2: 100, dimmestWm2: 20 },
};

const situation = (change: Partial<Situation> = {}): Situation => ({
  vehicle: VEHICLE,
  place: DRIVE,
  method: methodOf('drive-hose'),
  limits: DEFAULT_LIMITS,
  house: DEFAULT_HOUSE,
  soil: CLEAN,
  overnightC: 2,
  site: MILD,
  film: CALM,
  ...change,
});

const found = (ruleId: RuleId, change: Partial<Situation> = {}): Finding =>
  ruleOf(ruleId).judge(situation(change));
const site = (change: Partial<SiteWindow>): Partial<Situation> => ({ site: { ...MILD, ...change } });
const film = (change: Partial<FilmOutcome>): Partial<Situation> => ({ film: { ...CALM, ...change } });

/** The hose wants the whole car wiped within 12 minutes and a third; one side within 6; two panels within 3. */
const WHOLE = 12 * 1.33;
const TWO_PANELS = 3 * 1.33;

describe('each rule at, below and above its limit', () => {
  it.each<{ ruleId: RuleId; change: Partial<Situation>; level: Finding['level']; why: string }>([
    {
      ruleId: 'ice-on-car',
      change: film({ ice: { panel: 'roof', minutes: WHOLE + 0.1 } }),
      level: 'clear',
      why: 'the whole car is wiped in time',
    },
    {
      ruleId: 'ice-on-car',
      change: film({ ice: { panel: 'roof', minutes: WHOLE - 0.1 } }),
      level: 'condition',
      why: 'one side at a time',
    },
    {
      ruleId: 'ice-on-car',
      change: film({ ice: { panel: 'roof', minutes: TWO_PANELS + 0.01 } }),
      level: 'condition',
      why: 'two panels at a time, just',
    },
    {
      ruleId: 'ice-on-car',
      change: film({ ice: { panel: 'roof', minutes: TWO_PANELS - 0.01 } }),
      level: 'block',
      why: 'no section is small enough',
    },
    {
      ruleId: 'ice-on-car',
      change: film({ ice: { panel: 'roof', minutes: null } }),
      level: 'clear',
      why: 'never freezes',
    },
    {
      ruleId: 'spots',
      change: film({ dry: { panel: 'bonnet', minutes: TWO_PANELS - 0.01 }, filmGramsPerM2: 2000 }),
      level: 'block',
      why: 'dries before two panels are wiped, and even demineralised water would show',
    },
    {
      ruleId: 'spots',
      change: film({ dry: { panel: 'bonnet', minutes: TWO_PANELS - 0.01 } }),
      level: 'condition',
      why: 'a demineralised last rinse makes it go',
    },
    {
      ruleId: 'spots',
      change: film({ dry: { panel: 'bonnet', minutes: 10 } }),
      level: 'condition',
      why: 'one side at a time',
    },
    {
      ruleId: 'spots',
      change: film({ dry: { panel: 'bonnet', minutes: 1 }, filmGramsPerM2: 39 }),
      level: 'clear',
      why: '11.7 mg/m² does not show on black',
    },
    {
      ruleId: 'spots',
      change: film({ dry: { panel: 'bonnet', minutes: 1 }, filmGramsPerM2: 41 }),
      level: 'condition',
      why: '12.3 mg/m² shows on black; demineralised water would not',
    },
    {
      ruleId: 'spots',
      change: film({ dry: { panel: 'bonnet', minutes: 1 }, filmGramsPerM2: 39, warmestC: 41 }),
      level: 'condition',
      why: 'on hot paint half as much is tolerated',
    },
    {
      ruleId: 'spots',
      change: {
        ...film({ dry: { panel: 'bonnet', minutes: 1 }, filmGramsPerM2: 90 }),
        vehicle: { ...VEHICLE, paintTone: 'white' },
      },
      level: 'clear',
      why: '27 mg/m² does not show on white',
    },
    {
      ruleId: 'spots',
      change: {
        ...film({ dry: { panel: 'bonnet', minutes: 1 } }),
        place: { ...DRIVE, finalRinse: { ...WATER, tdsMgPerLitre: 20 } },
      },
      level: 'clear',
      why: 'the last rinse is demineralised',
    },
    {
      ruleId: 'tap-frost',
      change: site({ coldestNearbyC: 0 }),
      level: 'clear',
      why: 'at the limit the tap is live',
    },
    {
      ruleId: 'tap-frost',
      change: site({ coldestNearbyC: -0.1 }),
      level: 'block',
      why: 'a freezing night shuts it',
    },
    {
      ruleId: 'tap-frost',
      change: { ...site({ coldestNearbyC: -9 }), place: { ...DRIVE, tap: 'always' } },
      level: 'clear',
      why: 'a tap that stays live',
    },
    { ruleId: 'tap-frost', change: { place: { ...DRIVE, tap: 'none' } }, level: 'block', why: 'no tap' },
    {
      ruleId: 'open-hours',
      change: site({ open: { kind: 'open', minutesLeft: 90 } }),
      level: 'clear',
      why: 'closes as one is done',
    },
    {
      ruleId: 'open-hours',
      change: site({ open: { kind: 'open', minutesLeft: 89 } }),
      level: 'block',
      why: 'closes a minute before',
    },
    { ruleId: 'open-hours', change: site({ open: { kind: 'closed' } }), level: 'block', why: 'closed' },
    { ruleId: 'daylight', change: site({ lightLeftMinutes: 0 }), level: 'clear', why: 'ends at sunset' },
    { ruleId: 'daylight', change: site({ lightLeftMinutes: -1 }), level: 'block', why: 'ends in the dark' },
    { ruleId: 'daylight', change: site({ lightAtStart: false }), level: 'block', why: 'begins in the dark' },
    {
      ruleId: 'daylight',
      change: { ...site({ lightAtStart: false }), place: { ...DRIVE, hasLight: true } },
      level: 'clear',
      why: 'lamps',
    },
    { ruleId: 'falling', change: site({ mostPrecipMm: 0.2 }), level: 'clear', why: 'a few flakes' },
    { ruleId: 'falling', change: site({ mostPrecipMm: 0.21 }), level: 'block', why: 'snow on a drying car' },
    { ruleId: 'cold-hands', change: site({ windChillC: -19.9 }), level: 'clear', why: 'cold, but bearable' },
    { ruleId: 'cold-hands', change: site({ windChillC: -20 }), level: 'condition', why: 'lined gloves' },
    { ruleId: 'cold-hands', change: site({ windChillC: -28 }), level: 'block', why: 'skin freezes' },
    {
      ruleId: 'ice-on-ground',
      change: site({ coldestNext12hC: 0 }),
      level: 'clear',
      why: 'run-off stays liquid',
    },
    {
      ruleId: 'ice-on-ground',
      change: site({ coldestNext12hC: -0.1 }),
      level: 'condition',
      why: 'grit the run-off',
    },
    {
      ruleId: 'ice-on-ground',
      change: { ...site({ coldestNext12hC: -9 }), place: { ...DRIVE, hasDrain: true } },
      level: 'clear',
      why: 'it drains',
    },
    {
      ruleId: 'method-offered',
      change: { method: methodOf('bay-touch-free') },
      level: 'block',
      why: 'no bay on a drive',
    },
    {
      ruleId: 'floor-drain',
      change: { place: { ...DRIVE, shelter: { kind: 'indoors' } } },
      level: 'block',
      why: '140 L on an indoor floor without a drain',
    },
    { ruleId: 'floor-drain', change: {}, level: 'clear', why: 'outdoors it runs off' },
    {
      ruleId: 'wear',
      change: { vehicle: { ...VEHICLE, protection: 'wax' }, method: methodOf('touchless-automatic') },
      level: 'condition',
      why: 'strong soap on wax',
    },
    {
      ruleId: 'wear',
      change: { vehicle: { ...VEHICLE, protection: 'coating' }, method: methodOf('touchless-automatic') },
      level: 'clear',
      why: 'a coating stands it',
    },
    {
      ruleId: 'forecast-agrees',
      change: { failedShare: 0.2 },
      level: 'clear',
      why: 'as many fail as is tolerable',
    },
    { ruleId: 'forecast-agrees', change: { failedShare: 0.25 }, level: 'condition', why: 'more fail' },
  ])('$ruleId: $why', ({ ruleId, change, level }) => {
    expect(found(ruleId, change).level).toBe(level);
  });
});

describe('a film that is left to the machine', () => {
  const left = { method: methodOf('touchless-automatic') };

  it.each([
    { tempC: -7.9, level: 'condition', why: 'a thin skin; wipe the gaps' },
    { tempC: -8.1, level: 'block', why: 'too cold to leave wet' },
  ])('at $tempC °C: $why', ({ tempC, level }) => {
    const ice = {
      ...film({ ice: { panel: 'roof', minutes: 4 }, coldest: { panel: 'roof', tempC } }),
      ...left,
    };
    expect(found('ice-on-car', ice).level).toBe(level);
  });

  it('is clear where it dries before it freezes', () => {
    expect(found('ice-on-car', { ...film({}), ...left }).level).toBe('clear');
  });
});

describe('combining', () => {
  it('is go when all is clear, with the tightest margin as its reason', () => {
    const judgement = judgeAll(situation(film({ ice: { panel: 'roof', minutes: WHOLE + 0.5 } })));
    expect(judgement.standing).toBe('go');
    expect(judgement.limiting.ruleId).toBe('ice-on-car');
  });

  it('never takes unknown for clear', () => {
    const judgement = judgeAll(situation({ site: null, film: null }));
    expect(judgement.standing).toBe('unknown');
  });

  it('lets a block outweigh what is unknown', () => {
    expect(judgeAll(situation({ site: null, film: null, method: methodOf('bay-touch-free') })).standing).toBe(
      'no',
    );
  });

  it('runs every rule, whatever the first one says', () => {
    expect(judgeAll(situation({ method: methodOf('bay-touch-free') })).findings).toHaveLength(RULES.length);
  });

  it('needs something to combine', () => {
    expect(() => combine([])).toThrow(/findings is empty/);
  });
});

describe('limits', () => {
  it.each(LIMITS.map((row) => [row.id, row] as const))(
    '%s lies within its own range and names its source',
    (_, row) => {
      expect(row.value).toBeGreaterThanOrEqual(row.min);
      expect(row.value).toBeLessThanOrEqual(row.max);
      expect(row.source.length).toBeGreaterThan(3);
      expect(row.unit.length).toBeGreaterThan(0);
    },
  );

  it('that are moved move the verdict', () => {
    const cold = site({ windChillC: -15 });
    expect(found('cold-hands', cold).level).toBe('clear');
    expect(found('cold-hands', { ...cold, limits: { ...DEFAULT_LIMITS, coldHandsC: -10 } }).level).toBe(
      'condition',
    );
  });
});
