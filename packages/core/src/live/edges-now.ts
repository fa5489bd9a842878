import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { saturationOverWaterPa } from '../air/index.js';
import { lowEdges, runSteps, stepsAround, type WetCase, wetEdges } from '../run/index.js';
import { driveOf } from '../method/index.js';
import { panelsOf } from '../vehicle/index.js';
import { panelAir, type PlaceHour, surfaceOf } from '../wash/index.js';
import type { EdgesNow, Latest } from './run-moment.js';
import { keyedSteps, type RunPack } from './run-pack.js';
import type { Reading } from './run-state.js';

/** Air at the place as it was measured: what it holds of vapour stays, and what is overhead shifts with it. */
function withAir(site: PlaceHour, airTempC: number): PlaceHour {
  const { air } = site;
  const byK = airTempC - air.airTempC;
  const vapourPa = air.relHumidityFraction * saturationOverWaterPa(air.airTempC);
  return {
    ...site,
    air: {
      ...air,
      airTempC,
      relHumidityFraction: Math.min(1, vapourPa / saturationOverWaterPa(airTempC)),
      skyTempC: air.skyTempC + byK,
    },
    overheadTempC: site.overheadTempC + byK,
  };
}

/** The hour that a phone has for this instant: its own, or the last one known before it; null: none. */
function hourAt(pack: Pick<RunPack, 'hours' | 'fromMs'>, nowMs: number): PlaceHour | null {
  const at = Math.max(0, Math.floor((nowMs - pack.fromMs) / MS_PER_HOUR));
  const hour = pack.hours.slice(0, at + 1).findLast((one) => one !== null);
  return hour?.site ?? null;
}

/**
 * How long do water and product last now, by what was measured at the car?
 *
 * @param pack what the run is made of
 * @param readings the newest of the air and of each panel, °C
 * @returns wet edge of each panel, soonest first, and the longest dwell of each step with a product; as the sheet has it where
 * that hour's weather is not known
 * Model: a measured air stands for the forecast's, with its vapour; a measured panel shifts all panels by as much as it differs
 * from what was worked out for it (judgement), the newest reading foremost
 */
export function edgesNow(
  pack: Pick<RunPack, 'vehicle' | 'place' | 'method' | 'limits' | 'sheet' | 'hours' | 'fromMs' | 'washHours'>,
  readings: readonly Reading[],
  nowMs: number,
): EdgesNow {
  const asMade = hourAt(pack, nowMs);
  if (!asMade) return { edges: pack.sheet.edges, latest: {} };
  const { vehicle, place, method, limits } = pack;
  const airRead = readings.find(({ of }) => of === 'air');
  const site = airRead ? withAir(asMade, airRead.tempC) : asMade;
  const panels = panelsOf(vehicle.bodyClass);
  const panelRead = readings.filter(({ of }) => of !== 'air').toSorted((a, b) => b.atMs - a.atMs)[0];
  const readPanel = panels.find(({ id }) => id === panelRead?.of);
  const panelK =
    panelRead && readPanel ? panelRead.tempC - panelAir(place, surfaceOf(readPanel, vehicle), site).dryC : 0;
  // What comes after the drive is as it was forecast for the second place.
  const drive = driveOf(method);
  const later = (pack.washHours ?? []).filter(({ fromMinute }) => drive && fromMinute >= drive.fromMinute);
  const of: WetCase = { vehicle, place, method, limits, hours: [{ fromMinute: 0, site }, ...later], panelK };
  const { rinse, byStep } = wetEdges(of);
  const steps = runSteps(method, {
    edges: byStep,
    lowEdges: lowEdges(of, panels),
    stopAfter: [],
    hasNoGuard: false,
    ...stepsAround(
      { vehicle, place, method, site, overnightC: pack.sheet.overnightC },
      pack.sheet.preparation.mixes,
    ),
  });
  const keys = keyedSteps({ steps }).flatMap(({ key, step }): [string, Latest][] =>
    step.dwell ? [[key, { minutes: step.dwell.maxMinutes, ends: step.dwell.cutAs ?? 'label' }]] : [],
  );
  return { edges: rinse, latest: Object.fromEntries(keys) };
}

/** How old a reading is, minutes; never negative. */
export const ageMinutes = (atMs: number, nowMs: number): number =>
  Math.max(0, (nowMs - atMs) / MS_PER_MINUTE);
