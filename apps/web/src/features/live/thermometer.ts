import { MS_PER_HOUR, type PanelId, panelsOf, type RunPack } from '@keen/core';

/** A thermometer that is held to the car; a real one would answer over Bluetooth. */
export interface Thermometer {
  /** °C of the air or of a panel. @throws Error when it does not answer */
  read(of: PanelId | 'air'): Promise<number>;
}

/** Steady differences of the stand-in from the forecast, K. */
const AIR_K = -1.2;
const SWING_K = 0.4;

/** Stand-in that ships with the program: a little colder than the forecast, panels a little colder still, in swings of minutes. */
export function simulatedThermometer(pack: RunPack, now: () => number): Thermometer {
  return {
    read(of) {
      const at = Math.max(0, Math.floor((now() - pack.fromMs) / MS_PER_HOUR));
      const hour = pack.hours.slice(0, at + 1).findLast((one) => one !== null);
      if (!hour) return Promise.reject(new Error('The thermometer gives no reading.'));
      const index = panelsOf(pack.vehicle.bodyClass).findIndex(({ id }) => id === of);
      const swing = SWING_K * Math.sin(now() / 240_000 + index);
      const tempC = hour.site.air.airTempC + AIR_K + swing - (of === 'air' ? 0 : 0.8);
      return Promise.resolve(Math.round(tempC * 10) / 10);
    },
  };
}
