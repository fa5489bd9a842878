import {
  halvesIn,
  type Method,
  type Part,
  piecesOf,
  STEP_KINDS,
  reachedFraction,
  type WashStep,
} from '../method/index.js';
import { lastWater, type Place } from '../place/index.js';
import {
  behaviourOn,
  floodFilmGramsPerM2,
  type Panel,
  panelM2,
  panelsOf,
  type Vehicle,
} from '../vehicle/index.js';
import { TEPID_C } from '../water/index.js';
import { materialOf, type PanelSurface, surfaceOf } from './panel-air.js';
import type { PanelDeed } from './panel-deed.js';
import type { PanelMaterial } from '../film/index.js';
import { type TrackEvent, type Wait, waitsOf } from './waits-of.js';

/** A car at a place, washed by a method in one of its ways. */
export interface WashCase {
  readonly vehicle: Vehicle;
  readonly place: Place;
  readonly method: Method;
}

/** What of the shop's limits the water obeys. */
export interface WaterLimits {
  /** Pre-wash or foam on a panel while it dwells, g/m². */
  readonly productGramsPerM2: number;
  readonly towelLeavesGramsPerM2: number;
  readonly blowerLeavesFraction: number;
  /** Time kept in hand over what a wait takes. */
  readonly inHandFraction: number;
}

/** One piece of the car through the wash: the same in every hour. */
export interface Track {
  readonly panel: Panel;
  readonly material: PanelMaterial;
  readonly surface: PanelSurface;
  readonly events: readonly TrackEvent[];
  readonly waits: readonly Wait[];
}

/** The steps with the minute at which each begins, counted from arriving. */
export function timedSteps(method: Pick<Method, 'steps' | 'setUpMinutes'>): {
  readonly step: WashStep;
  readonly fromMinute: number;
}[] {
  let atMinute = method.setUpMinutes / 2;
  return method.steps.map((step) => {
    const fromMinute = atMinute;
    atMinute += step.minutes;
    return { step, fromMinute };
  });
}

interface Slot {
  readonly step: WashStep;
  readonly index: number;
  /** When hands leave this panel. */
  readonly toMinute: number;
  readonly m2: number;
}

/** A step at one of its panels. */
interface OnPanel {
  readonly panel: Panel;
  readonly slot: Slot;
}

/** Water over the panels of a step, L/m² of what its litres are. */
const litresPerM2 = ({ step, m2 }: Slot): number => (m2 > 0 ? step.litres / m2 : 0);

function waterTempC({ place, method }: WashCase, step: WashStep, from: 'place' | 'bucket'): number {
  if (from === 'bucket') return method.bucketC ?? TEPID_C;
  return (step.id === 'final-rinse' ? lastWater(place) : place.washWater).tempC;
}

function wetting(of: WashCase, { panel, slot }: OnPanel, limits: WaterLimits): PanelDeed | null {
  const { wets } = STEP_KINDS[slot.step.id];
  if (!wets) return null;
  const grams =
    wets.film === 'flood'
      ? floodFilmGramsPerM2(behaviourOn(of.vehicle, panel.id), panel.tiltDeg)
      : wets.film === 'product'
        ? limits.productGramsPerM2
        : wets.film;
  return {
    kind: 'wet',
    filmKg: grams / 1000,
    passesKg: Math.max(grams / 1000, litresPerM2(slot) * wets.passesFraction),
    waterTempC: waterTempC(of, slot.step, wets.water),
  };
}

function taking({ method }: WashCase, step: WashStep, limits: WaterLimits): PanelDeed | null {
  switch (STEP_KINDS[step.id].takes) {
    case 'wipe':
      return { kind: 'wipe', leavesKg: limits.towelLeavesGramsPerM2 / 1000 };
    case 'blow':
      return { kind: 'blow', leavesFraction: limits.blowerLeavesFraction };
    case 'left':
      return {
        kind: 'blow',
        leavesFraction:
          method.drying.kind === 'left' ? method.drying.filmFraction : limits.blowerLeavesFraction,
      };
    case null:
      return null;
  }
}

function eventsOf(of: WashCase, at: OnPanel, limits: WaterLimits): TrackEvent[] {
  const { slot } = at;
  const { step, index, toMinute, m2 } = slot;
  const wet = wetting(of, at, limits);
  const take = taking(of, step, limits);
  const { patchM2 } = STEP_KINDS[step.id];
  // Sprayed and wiped patch by patch: what is on a patch waits as long as the patch takes.
  const wetAt = patchM2 === undefined ? toMinute : toMinute - (step.minutes * Math.min(patchM2, m2)) / m2;
  return [
    ...(wet ? [{ atMinute: wetAt, deed: wet, rubs: step.contact && !take, step: index }] : []),
    ...(take ? [{ atMinute: toMinute, deed: take, rubs: take.kind === 'wipe', step: index }] : []),
  ];
}

/** When hands leave each panel in a step that goes from piece to piece. */
function slotsOf(of: WashCase): { slot: Slot; panel: Panel['id']; part: Part['id'] | undefined }[] {
  const { bodyClass } = of.vehicle;
  return timedSteps(of.method).flatMap(({ step, fromMinute }, index) => {
    const pieces = piecesOf(step.part ?? 'whole-car').filter(
      ({ panel }) => reachedFraction(step.groups, panel) > 0,
    );
    const m2Of = ({ panel, share }: (typeof pieces)[number]): number =>
      panelM2(bodyClass, panel) * share * reachedFraction(step.groups, panel);
    const m2 = pieces.reduce((sum, piece) => sum + m2Of(piece), 0);
    let done = 0;
    return pieces.map((piece) => {
      done += m2Of(piece);
      const toMinute = fromMinute + (step.minutes * done) / m2;
      return { panel: piece.panel, part: step.part, slot: { step, index, toMinute, m2 } };
    });
  });
}

const BOTH_HALVES = [0, 1] as const;
/** A panel that no step halves is one piece: its first half stands for both. */
const ONE_PIECE = [0] as const;

/**
 * What is done to each piece of the car, and when?
 *
 * @param of the method in one of its ways; its steps decide everything
 * @returns for each piece that any step wets or wipes its events in order, minutes from arriving, and how long each wetting waits
 */
export function tracksOf(of: WashCase, limits: WaterLimits): Track[] {
  const { vehicle, method } = of;
  const slots = slotsOf(of);
  const panels = new Map(panelsOf(vehicle.bodyClass).map((panel) => [panel.id, panel]));
  return piecesOf('whole-car').flatMap(({ panel: id }): Track[] => {
    const panel = panels.get(id);
    if (!panel) return [];
    const here = slots.filter((one) => one.panel === id);
    const halves = here.some(({ part }) => halvesIn(part, id).length === 1) ? BOTH_HALVES : ONE_PIECE;
    return halves.flatMap((half): Track[] => {
      const events = here
        .filter(({ part }) => halvesIn(part, id).includes(half))
        .flatMap(({ slot }) => eventsOf(of, { panel, slot }, limits))
        .sort((a, b) => a.atMinute - b.atMinute);
      if (events.length === 0) return [];
      return [
        {
          panel,
          material: materialOf(panel, vehicle),
          surface: surfaceOf(panel, vehicle),
          events,
          waits: waitsOf(method, events),
        },
      ];
    });
  });
}
