import { MS_PER_HOUR } from '../quantity/index.js';
import { type Place, placeAir, type PlaceAir } from '../place/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { WeatherSpan } from './weather-span.js';

/** From parking until it is driven again. */
const NIGHT_HOURS = 14;
const STREET = { climate: { kind: 'outdoors' } } as const;

/** The air where a car stands after its wash. */
export class NightAir {
  private readonly air: readonly (PlaceAir | null)[];
  private readonly coldest = new Map<number, number | null>();

  /** @param standsAt null: in the street */
  constructor(
    standsAt: Pick<Place, 'climate'> | null,
    private readonly span: WeatherSpan,
  ) {
    this.air = placeAir(standsAt ?? STREET, span.hours);
  }

  /** Coldest air in the hours after an instant, °C; null where some of them are not known. */
  coldestAfterC(endMs: number): number | null {
    const from = (startOfHourMs(endMs) - this.span.fromMs) / MS_PER_HOUR;
    const known = this.coldest.get(from);
    if (known !== undefined) return known;
    const night = this.air.slice(Math.max(0, from), from + NIGHT_HOURS).filter((air) => air !== null);
    const coldestC = night.length < NIGHT_HOURS ? null : Math.min(...night.map(({ airTempC }) => airTempC));
    this.coldest.set(from, coldestC);
    return coldestC;
  }
}
