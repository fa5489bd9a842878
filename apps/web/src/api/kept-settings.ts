import type { Settings } from '@keen/core';

const KEY = 'keen-settings';
let kept: Pick<Settings, 'display' | 'timeZone'> | null | undefined;

/** Keeps the units and the zone on this device, for when there is no signal. */
export function keepSettings({ display, timeZone }: Settings): void {
  kept = { display, timeZone };
  localStorage.setItem(KEY, JSON.stringify(kept));
}

/** Units and zone as they came last; null: they never came. */
export function keptSettings(): Pick<Settings, 'display' | 'timeZone'> | null {
  if (kept === undefined) {
    const text = localStorage.getItem(KEY);
    kept = text === null ? null : (JSON.parse(text) as Pick<Settings, 'display' | 'timeZone'>);
  }
  return kept;
}
