import type { Place } from '../place/index.js';
import type { PanelId } from '../vehicle/index.js';
import { climateAt } from './panel-air.js';
import { type Track, tracksOf, type WashCase, type WaterLimits } from './tracks.js';
import { type WashHours, waitsThrough } from './waits-through.js';
import { panelSpans, type WashEvent, type WashSumAnswer, type WashSumInput } from './wash-sum.js';

/** One piece of the car through the wash: a `wash` sum and its answer. */
export interface WashPanel {
  readonly panel: PanelId;
  readonly input: WashSumInput;
  readonly startPanelC: number;
  /** Index of the step of each event. */
  readonly steps: readonly number[];
  /** Of what is put on and waits for a hand or for water: when it would freeze or dry if nothing came; minutes of the wash. */
  readonly waits: readonly WashPanelWait[];
  readonly spans: WashSumAnswer['spans'];
}

/** One wetting that waits. */
export interface WashPanelWait {
  readonly atMinute: number;
  /** A hand, a towel or water comes to it; null: nothing does. */
  readonly untilMinute: number | null;
  readonly iceMinute: number | null;
  readonly dryMinute: number | null;
}

const GRAMS = 1000;

function eventsOf({ events }: Track): WashEvent[] {
  return events.map(({ atMinute, deed, rubs }): WashEvent => {
    switch (deed.kind) {
      case 'wet':
        return {
          atMinute,
          kind: 'wet',
          filmGramsPerM2: deed.filmKg * GRAMS,
          passesGramsPerM2: deed.passesKg * GRAMS,
          waterTempC: deed.waterTempC,
          rubs,
        };
      case 'blow':
        return { atMinute, kind: 'blow', leavesFraction: deed.leavesFraction, rubs };
      case 'wipe':
        return { atMinute, kind: 'wipe', leavesGramsPerM2: deed.leavesKg * GRAMS, rubs };
    }
  });
}

/** One piece of the car as the `wash` sum takes it. */
export function panelInput(track: Track, place: Place, hours: WashHours): WashSumInput {
  const { material, surface } = track;
  return {
    material,
    tiltDeg: surface.tiltDeg,
    absorptanceFraction: surface.absorptanceFraction,
    climate: hours.map(({ fromMinute, site }) => ({ fromMinute, ...climateAt(place, surface, site) })),
    events: eventsOf(track),
  };
}

function waitsOn(track: Track, place: Place, hours: WashHours): WashPanelWait[] {
  return waitsThrough(track, { place, hours }).flatMap(({ wait, iceMinutes, dryMinutes }) => {
    const atMinute = track.events[wait.event]?.atMinute;
    if (atMinute === undefined || (wait.toTouch === null && wait.toOff === null && !wait.isLast)) return [];
    const after = (minutes: number | null): number | null => (minutes === null ? null : atMinute + minutes);
    return [
      {
        atMinute,
        untilMinute: after(wait.toTouch ?? wait.toOff),
        iceMinute: after(iceMinutes),
        dryMinute: after(dryMinutes),
      },
    ];
  });
}

/**
 * What becomes of every piece of the car in this wash?
 *
 * @returns each as a `wash` sum with its answer, and how long what is put on would last if nothing came to it
 */
export function washPanels(of: WashCase, limits: WaterLimits, hours: WashHours): WashPanel[] {
  return tracksOf(of, limits).map((track) => {
    const input = panelInput(track, of.place, hours);
    return {
      panel: track.panel.id,
      input,
      steps: track.events.map(({ step }) => step),
      waits: waitsOn(track, of.place, hours),
      ...panelSpans(input),
    };
  });
}
