import { beforeEach, describe, expect, it } from '@jest/globals';
import { inUsualWay, inWay, type Method, wayOf } from '../method/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { BAY, DRIVE, methodWith, VEHICLE } from '../testing/shop.js';
import { floodFilmGramsPerM2, panelM2, type PanelId } from '../vehicle/index.js';
import { timedSteps, type Track, tracksOf } from './index.js';

const LIMITS = DEFAULT_LIMITS;
const of = (method: Method, place = BAY) => tracksOf({ vehicle: VEHICLE, place, method }, LIMITS);
const touchFree = inUsualWay(methodWith('bay-touch-free'));
const track = (tracks: readonly Track[], panel: PanelId): Track => {
  const found = tracks.find((one) => one.panel.id === panel);
  if (!found) throw new Error(`no ${panel}`);
  return found;
};
const stepIds = (method: Method, one: Track): string[] =>
  one.events.map(({ step }) => method.steps[step]?.id ?? '');

describe('the steps on their clock', () => {
  it('begin after half of the setting up, one after the other', () => {
    const timed = timedSteps({ setUpMinutes: 4, steps: touchFree.steps.slice(0, 3) });
    expect(timed[0]?.fromMinute).toBe(2);
    expect(timed[1]?.fromMinute).toBe(2 + (touchFree.steps[0]?.minutes ?? 0));
    expect(timed.map(({ step }) => step)).toEqual(touchFree.steps.slice(0, 3));
  });
});

describe('what is done to each panel', () => {
  let tracks: Track[];
  beforeEach(() => {
    tracks = of(touchFree);
  });

  it('goes from piece to piece, in the minutes of the step, the roof first', () => {
    expect(tracks.map(({ panel }) => panel.id)).toEqual([
      'roof',
      'windscreen',
      'bonnet',
      'boot',
      'left',
      'front',
      'right',
      'rear',
    ]);
    const rinse = timedSteps(touchFree).find(({ step }) => step.id === 'rinse');
    const minutes = tracks.map((one) => one.events[1]?.atMinute ?? NaN);
    expect(minutes).toEqual(minutes.toSorted((a, b) => a - b));
    expect(minutes.at(-1)).toBeCloseTo((rinse?.fromMinute ?? 0) + (rinse?.step.minutes ?? 0), 9);
    const all = tracks.reduce((sum, { panel }) => sum + panelM2('saloon', panel.id), 0);
    expect(minutes[0]).toBeCloseTo((rinse?.fromMinute ?? 0) + (4 * panelM2('saloon', 'roof')) / all, 9);
  });

  it('is foamed, rinsed, rinsed a last time, blown and wiped', () => {
    for (const one of tracks)
      expect(stepIds(touchFree, one)).toEqual(['foam', 'rinse', 'final-rinse', 'blow', 'towel']);
    expect(tracks[0]?.events.map(({ deed, rubs }) => [deed.kind, rubs])).toEqual([
      ['wet', false],
      ['wet', false],
      ['wet', false],
      ['blow', false],
      ['wipe', true],
    ]);
  });

  it('carries the film of its kind, the litres of its step and the warmth of its water', () => {
    const [foam, rinse, last, blow, towel] = track(tracks, 'roof').events.map(({ deed }) => deed);
    const all = tracks.reduce((sum, { panel }) => sum + panelM2('saloon', panel.id), 0);
    expect(foam).toMatchObject({
      kind: 'wet',
      filmKg: LIMITS.productGramsPerM2 / 1000,
      passesKg: LIMITS.productGramsPerM2 / 1000,
    });
    const flood = floodFilmGramsPerM2('flat', track(tracks, 'roof').panel.tiltDeg) / 1000;
    expect(rinse).toMatchObject({ kind: 'wet', filmKg: flood, waterTempC: BAY.washWater.tempC });
    expect(rinse?.kind === 'wet' && rinse.passesKg).toBeCloseTo(36 / all, 9);
    expect(last).toMatchObject({ waterTempC: BAY.finalRinse?.tempC });
    expect(blow).toEqual({ kind: 'blow', leavesFraction: LIMITS.blowerLeavesFraction });
    expect(towel).toEqual({ kind: 'wipe', leavesKg: LIMITS.towelLeavesGramsPerM2 / 1000 });
  });

  it('has bucket water where the hand brings it, warm as the method has it, tepid where it says nothing', () => {
    const contact = inUsualWay(methodWith('bay-contact'));
    const hand = track(of(contact), 'roof').events.find(({ step }) => contact.steps[step]?.id === 'contact');
    expect(hand).toMatchObject({ rubs: true, deed: { kind: 'wet', waterTempC: 35 } });
    const rinseless = inUsualWay(methodWith('garage-rinseless'));
    const wet = track(of(rinseless, DRIVE), 'roof').events.find(
      ({ step }) => rinseless.steps[step]?.id === 'rinseless',
    );
    expect(wet).toMatchObject({ deed: { kind: 'wet', filmKg: 0.05, waterTempC: 38 } });
  });

  it('is only of the panels that a step goes over: a flank belongs to both halves, a roof to one', () => {
    const flush = inUsualWay(methodWith('salt-flush'));
    expect(of(flush).map(({ panel }) => panel.id)).toEqual(['left', 'front', 'right', 'rear']);
    const upper = inWay(touchFree, wayOf(touchFree, 'upper-only'));
    expect(of(upper).map(({ panel }) => panel.id)).not.toContain('rear');
    // Half a flank takes half the time of a whole one.
    const passes = (method: Method): number => {
      const wet = track(of(method), 'left').events[1]?.deed;
      return wet?.kind === 'wet' ? wet.passesKg : NaN;
    };
    expect(passes(upper)).toBeCloseTo(passes(touchFree), 6);
  });

  it('part by part, each piece has its own events', () => {
    const parts = inWay(touchFree, wayOf(touchFree, 'dry-one-side'));
    const roofs = of(parts).filter(({ panel }) => panel.id === 'roof');
    expect(roofs).toHaveLength(2);
    const [left, right] = roofs.map(({ events }) => events.at(-1)?.atMinute ?? NaN);
    expect(left).toBeLessThan(right ?? -1);
    // The rinse of the whole car comes to both halves at once.
    expect(new Set(roofs.map(({ events }) => events[0]?.atMinute)).size).toBe(1);
  });

  it('sprayed and wiped patch by patch waits as long as a patch takes, not as long as the panel', () => {
    const waterless = inUsualWay(methodWith('waterless'));
    const roof = track(of(waterless, DRIVE), 'roof');
    const [wait] = roof.waits;
    const spray = waterless.steps.find(({ id }) => id === 'spray-wipe');
    const m2 = of(waterless, DRIVE)
      .filter(({ events }) => events.some(({ deed }) => deed.kind === 'wet'))
      .reduce(
        (sum, { panel }) =>
          sum + panelM2('saloon', panel.id) * (panel.id === 'left' || panel.id === 'right' ? 0.5 : 1),
        0,
      );
    expect(wait?.toTouch).toBeCloseTo(((spray?.minutes ?? 0) * 0.5) / m2, 6);
  });

  it('a machine leaves its share of the water', () => {
    const machine = inUsualWay(methodWith('touchless-automatic'));
    expect(track(of(machine), 'roof').events.at(-1)?.deed).toEqual({ kind: 'blow', leavesFraction: 0.25 });
  });
});
