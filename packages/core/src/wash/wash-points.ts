import { PanelWash } from './panel-wash.js';
import { AFTER_MINUTES, deedOf, panelClimates, washSum, type WashSumInput } from './wash-sum.js';

/** The panel at one instant of its wash. */
export interface WashPoint {
  readonly minute: number;
  readonly tempC: number;
  /** All water, ice included. */
  readonly waterGramsPerM2: number;
  readonly iceGramsPerM2: number;
}

const POINT_EVERY_MINUTES = 0.25;

/** The same wash as points to draw, every quarter of a minute and on both sides of each event. @throws FieldError as `washSum` */
export function washPoints(input: WashSumInput): WashPoint[] {
  const { startPanelC } = washSum(input);
  const panel = new PanelWash(input.material, panelClimates(input), { startC: startPanelC });
  const points: WashPoint[] = [];
  const mark = (): void => {
    const { minute, tempC, waterKg, iceKg } = panel;
    points.push({ minute, tempC, waterGramsPerM2: waterKg * 1000, iceGramsPerM2: iceKg * 1000 });
  };
  const goTo = (minute: number): void => {
    while (panel.minute < minute - 1e-9) {
      panel.advance(Math.min(minute, panel.minute + POINT_EVERY_MINUTES));
      mark();
    }
  };
  mark();
  for (const event of input.events) {
    goTo(event.atMinute);
    panel.do(deedOf(event));
    mark();
  }
  goTo(panel.minute + (input.afterMinutes ?? AFTER_MINUTES));
  return points;
}
