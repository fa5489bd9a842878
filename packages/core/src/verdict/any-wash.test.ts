import { describe, expect, it } from '@jest/globals';
import { mixesFor, productUse } from '../kit/index.js';
import { closedRun, keyedSteps, mergeActions, runMoment, type RunPack, runState } from '../live/index.js';
import { fittingsOf, removedBy } from '../method/index.js';
import { washEffect } from '../log/index.js';
import { washTotals } from '../plan/index.js';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { type RunSheet, runSheet } from '../run/index.js';
import { CLEAN } from '../soil/index.js';
import { type AnyWash, anyWash, goes } from '../testing/any-wash.js';
import { Phone } from '../testing/live.js';
import { ZONE_GROUPS } from '../vehicle/index.js';
import { airsOf, panelAir, PanelWash, tracksOf, waitsThrough, type WashHours } from '../wash/index.js';
import { equippedMethod, judgedWays, methodsInWays, PlaceCalendar, PlaceWeather } from './index.js';

/** So many made-up washes; `KEEN_SWEEP=10000` looks at more. */
const HOW_MANY = Number(process.env.KEEN_SWEEP ?? 300);

function hoursOf({ place, request, found, atMs }: AnyWash): WashHours {
  const weather = new PlaceWeather(new PlaceCalendar(place), request.control);
  const hours = weather.washHours(atMs, found.method);
  if (!hours) throw new Error('no weather');
  return hours;
}

/** The wash minute by minute as its steps have it, by the sums alone and nothing of the verdict's. */
function iceUnderHands(wash: AnyWash): string[] {
  const { vehicle, place, found } = wash;
  const hours = hoursOf(wash);
  return tracksOf({ vehicle, place, method: found.method }, DEFAULT_LIMITS).flatMap((track) => {
    const startC = panelAir(place, track.surface, hours[0].site).dryC;
    const panel = new PanelWash(track.material, airsOf(place, track, hours), { startC });
    return track.events.flatMap(({ atMinute, deed, rubs }): string[] => {
      panel.advance(atMinute);
      const isOnIce = rubs && panel.iceKg * 1000 > DEFAULT_LIMITS.towelLeavesGramsPerM2;
      panel.do(deed);
      return isOnIce ? [`${found.method.id} ${found.wayId} ${track.panel.id} at ${atMinute.toFixed(1)}`] : [];
    });
  });
}

function sheetOf(wash: AnyWash): RunSheet {
  const { vehicle, place, request, found, kit, house, atMs } = wash;
  const { control } = request;
  const outdoors = control.hours[Math.floor((atMs - control.fromMs) / MS_PER_HOUR)];
  if (!outdoors) throw new Error('no weather');
  return runSheet({
    vehicle,
    place,
    method: found.method,
    limits: DEFAULT_LIMITS,
    hours: hoursOf(wash),
    outdoors,
    isDark: false,
    overnightC: null,
    soil: CLEAN,
    kit,
    house,
  });
}

/** A phone on which everything is done as the sheet says, to the second. */
function played(wash: AnyWash, sheet: RunSheet) {
  const { place, vehicle, found, atMs } = wash;
  const pack = {
    sheet,
    method: found.method,
    vehicle,
    place,
    startMs: atMs,
    soilBefore: CLEAN,
    sunsetMs: null,
    hours: [],
  } as unknown as RunPack;
  const phone = new Phone();
  phone.at(0, { kind: 'start', packId: 'pack' });
  let isOn = false;
  for (const { key, step } of keyedSteps(sheet)) {
    const at = step.fromMinute * 60;
    if (step.onMeter && !isOn) phone.at(at, { kind: 'meter-on' });
    isOn = step.onMeter || isOn;
    phone.at(at, { kind: 'begin', step: key }).at(at + step.minutes * 60, { kind: 'end', step: key });
    if (step.stopsMeter) {
      phone.at(at + step.minutes * 60, { kind: 'meter-off' });
      isOn = false;
    }
  }
  const state = runState(pack, mergeActions(phone.log));
  const nowMs = (state.startedMs ?? 0) + sheet.minutes * MS_PER_MINUTE;
  const moment = runMoment(pack, state, { nowMs, now: { edges: [], latest: {} } });
  phone.at(sheet.minutes * 60, {
    kind: 'close',
    found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
    used: { foldedTowels: null, dryingTowels: null, paidMinor: null },
  });
  const closed = closedRun(pack, runState(pack, mergeActions(phone.log)));
  if (!closed) throw new Error('the run is not closed');
  return { closed, moment };
}

describe('any wash', () => {
  const washes = Array.from({ length: HOW_MANY }, (_, seed) => anyWash(seed + 1));
  const going = washes.filter(({ found }) => goes(found));

  it('goes in some hours as it is, in some another way, and in some not', () => {
    expect(new Set(going.map(({ found }) => found.wayId)).size).toBeGreaterThan(4);
    expect(going.length).toBeGreaterThan(HOW_MANY / 8);
    expect(washes.length - going.length).toBeGreaterThan(HOW_MANY / 8);
    const withWork = going.filter(({ request }) => (request.work?.length ?? 0) > 0);
    expect(withWork.length).toBeGreaterThan(HOW_MANY / 60);
  });

  it('that goes lets no hand, mitt or towel meet ice when its own steps are gone through', () => {
    expect(going.flatMap(iceUnderHands)).toEqual([]);
  });

  it('that does not go for ice has it in its own timeline, on the panel and at the minute that it names', () => {
    const refused = washes.filter(
      ({ found: { judgement } }) => judgement.standing === 'no' && judgement.limiting.ruleId === 'ice-on-car',
    );
    expect(refused.length).toBeGreaterThan(HOW_MANY / 40);
    for (const wash of refused) {
      const { panel, actual, unit } = wash.found.judgement.limiting;
      if (unit !== 'min') continue;
      const { vehicle, place, found } = wash;
      const hours = hoursOf(wash);
      const minutes = tracksOf({ vehicle, place, method: found.method }, DEFAULT_LIMITS)
        .filter((track) => track.panel.id === panel)
        .flatMap((track) => waitsThrough(track, { place, hours }).map(({ iceMinutes }) => iceMinutes));
      expect(minutes).toContain(actual);
    }
  });

  it('is done in the first of its ways that goes, and no other comes before it', () => {
    for (const { request, atMs, found } of washes.slice(0, 60)) {
      const first = judgedWays(request, atMs).find(goes);
      if (first && (goes(found) || found.wayId === first.wayId))
        expect([found.wayId, goes(found)]).toEqual([first.wayId, true]);
      if (goes(found)) expect(first?.wayId).toBe(found.wayId);
    }
  });

  it('keeps every product within its label, and rinses off all that is strong', () => {
    for (const { found } of going)
      expect(
        found.judgement.findings.filter(
          ({ ruleId, level }) => (ruleId === 'label-time' || ruleId === 'chemicals') && level === 'block',
        ),
      ).toEqual([]);
  });

  it('takes the same minutes, money, litres and mL in verdict, balance, steps, sheet, live run and log', () => {
    for (const wash of going) {
      const { found, place, vehicle, kit, request, atMs } = wash;
      const { method } = found;
      const totals = washTotals(place, method);
      const sheet = sheetOf(wash);
      const sum = (read: (step: RunSheet['steps'][number]) => number): number =>
        sheet.steps.reduce((all, step) => all + read(step), 0);
      // Sheet.
      expect(sheet.minutes).toBe(totals.minutes);
      const stepMinutes = sum(({ minutes }) => minutes) + method.setUpMinutes;
      expect(Math.abs(stepMinutes - totals.minutes)).toBeLessThan(0.001);
      expect(sum(({ litres }) => litres)).toBeCloseTo(totals.litres, 2);
      expect(sheet.preparation.litresInAll).toBe(totals.litres);
      const { visitMinor, meterMinor } = sheet.preparation.money;
      expect(visitMinor + meterMinor + method.productMinor).toBe(totals.moneyMinor);
      // What is prepared is what goes on, step by step.
      const mixed = productUse(sheet.preparation.mixes);
      const put = productUse(sheet.steps.flatMap(({ mix }) => mix ?? []));
      expect(put.map(({ productId }) => productId).sort()).toEqual(
        mixed.map(({ productId }) => productId).sort(),
      );
      for (const { productId, ml } of mixed)
        expect(put.find((one) => one.productId === productId)?.ml).toBeCloseTo(ml, 6);
      const mixMinor = mixesFor(method.steps, { vehicle, kit, placeC: 5 }).reduce(
        (all, { costMinor = 0 }) => all + costMinor,
        0,
      );
      expect(Math.abs(mixMinor - method.productMinor)).toBeLessThanOrEqual(0.51);
      // Plan and balance, which have the start by its way and its cold.
      const again = methodsInWays(request)(method.id, found, { place, work: request.work });
      expect(washTotals(place, again)).toEqual(totals);
      // Live run and log, played as the sheet says.
      const { closed, moment } = played(wash, sheet);
      expect(moment.drift?.minutes ?? 0).toBeCloseTo(method.setUpMinutes / 2, 3);
      expect(closed.minutes).toBeCloseTo(totals.minutes, 6);
      expect(closed.costMinor).toBeCloseTo(visitMinor + meterMinor, 6);
      expect(closed.used.products.length).toBe(mixed.length);
      for (const { productId, ml } of mixed)
        expect(closed.used.products.find((one) => one.productId === productId)?.ml).toBeCloseTo(ml, 6);
      const effect = washEffect(
        {
          methodId: method.id,
          startMs: atMs,
          minutes: closed.minutes,
          predicted: { wayId: found.wayId },
          extras: request.work?.map(({ id }) => id) ?? [],
          found: { spots: 'none', run: closed.record },
        },
        equippedMethod(method.id, { ...request, placeC: found.placeC, fittings: fittingsOf(place) }),
      );
      for (const group of ZONE_GROUPS) {
        expect(effect.removes[group]).toBeCloseTo(method.removes[group], 6);
        expect(removedBy(method.plainSteps ?? [], ZONE_GROUPS)[group]).toBeCloseTo(method.removes[group], 9);
      }
    }
  });
});
