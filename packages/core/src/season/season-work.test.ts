import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { inWay, type Method, shopMethod, STEP_KINDS, waysOf, type WashStepId } from '../method/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { SEASON_JOBS, SEASON_STEPS, withSeasonWork } from './index.js';

const method = (id: string): Method => shopMethod(id, DEFAULT_HOUSE);
const jobs = (...ids: SeasonJobId[]) => SEASON_JOBS.filter(({ id }) => ids.includes(id));
const ids = ({ steps }: Pick<Method, 'steps'>): WashStepId[] => steps.map(({ id }) => id);
const of = ({ steps }: Method, jobId: SeasonJobId) => steps.filter((step) => step.jobId === jobId);
const minutes = (steps: Method['steps']): number => steps.reduce((sum, step) => sum + step.minutes, 0);

describe('work of the season in a wash', () => {
  it('is the wash itself where there is none', () => {
    const plain = method('bay-contact');
    expect(withSeasonWork(plain, [])).toBe(plain);
  });

  it('season work after drying: what lies under the car comes before the body is wetted, and is rinsed off', () => {
    const bay = withSeasonWork(method('bay-contact'), jobs('anti-corrosion'));
    expect(ids(bay).slice(0, 3)).toEqual(['underbody-flush', 'underbody-foam', 'underbody-flush']);
    const wetsBody = bay.steps.findIndex(({ id }) => STEP_KINDS[id].wets !== null);
    expect(bay.steps.findLastIndex(({ jobId }) => jobId !== undefined)).toBeLessThan(wetsBody);
  });

  it('season work off the meter: its rinses are paid for where the wash is, and nowhere else', () => {
    const plain = method('bay-touch-free');
    const bay = withSeasonWork(plain, jobs('anti-corrosion'));
    // A fifth to flush, half to foam, the rest to rinse: 20 min.
    expect(bay.meterSeconds - plain.meterSeconds).toBeCloseTo(60 * 10, 6);
    expect(bay.minutes - plain.minutes).toBeCloseTo(20, 6);
    expect(bay.litres - plain.litres).toBeCloseTo(10 * 6 + 2, 6);
    const home = withSeasonWork(method('garage-hose'), jobs('anti-corrosion'));
    expect(home.meterSeconds).toBe(0);
  });

  it('underbody twice: the long flush takes the place of the short ones, and cleans for the foam', () => {
    const plain = method('bay-touch-free');
    const short = plain.steps.filter(({ id }) => id === 'underbody-bounce' || id === 'underbody-ramps');
    expect(short.length).toBeGreaterThan(0);
    const both = withSeasonWork(plain, jobs('underbody', 'anti-corrosion'));
    expect(ids(both)).not.toContain('underbody-bounce');
    expect(ids(both)).not.toContain('underbody-ramps');
    expect(ids(both).slice(0, 3)).toEqual(['underbody-flush', 'underbody-foam', 'underbody-flush']);
    expect(both.minutes).toBeCloseTo(plain.minutes - minutes(short) + 15 + 20 * 0.8, 6);
    expect(both.removes.under).toBeGreaterThan(plain.removes.under);
  });

  it('has the engine bay dry before the body is wetted, with its own soap', () => {
    const bay = withSeasonWork(method('garage-hose'), jobs('engine-bay'));
    const [first] = bay.steps;
    expect(first).toMatchObject({ id: 'engine-bay', jobId: 'engine-bay', litres: 5, onMeter: false });
    expect(bay.minutes - method('garage-hose').minutes).toBeCloseTo(25, 6);
  });

  it('goes on clean paint at the end, and wants the foamer where it foams', () => {
    const garage = withSeasonWork(method('garage-rinseless'), jobs('decontaminate', 're-coat'));
    expect(ids(garage).slice(-7)).toEqual(['iron', 'tar', 'rinse', 'clay', 'towel', 'bare-check', 'coat']);
    expect(garage.needs).toEqual(method('garage-rinseless').needs);
    expect(withSeasonWork(method('garage-hose'), jobs('anti-corrosion')).needs).toContain('own-foam');
    expect(withSeasonWork(method('pre-coating'), jobs('re-coat')).leavesBare).toBe(false);
  });

  it('stays whole in every way of the wash', () => {
    const plain = method('bay-contact');
    const whole = withSeasonWork(plain, jobs('underbody', 'top-up'));
    expect(waysOf(whole).map(({ id }) => id)).toEqual(waysOf(plain).map(({ id }) => id));
    for (const way of waysOf(whole)) {
      const cut = inWay(whole, way);
      const alone = inWay(
        {
          ...plain,
          steps: plain.steps.filter(({ id }) => id !== 'underbody-bounce' && id !== 'underbody-ramps'),
        },
        way,
      );
      expect(cut.minutes - alone.minutes).toBeCloseTo(15 + 20, 6);
      expect(ids(cut)[0]).toBe('underbody-flush');
      expect(ids(cut).at(-1)).toBe('top-up');
      expect(of(cut, 'underbody').every(({ part }) => part === undefined)).toBe(true);
    }
  });

  it.each(SEASON_JOBS.map(({ id }) => id))('%s takes the minutes that the shop counts', (id) => {
    expect(SEASON_STEPS[id].reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    const whole = withSeasonWork(method('garage-hose'), jobs(id));
    expect(minutes(of(whole, id))).toBeCloseTo(jobs(id)[0]?.minutes ?? NaN, 6);
  });
});
