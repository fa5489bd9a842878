import { DEFAULT_DISPLAY } from '@keen/core';
import { useMemo } from 'react';
import { keptSettings } from '../api/kept-settings.js';
import { useSettings } from '../api/queries.js';
import { type Format, makeFormat } from './format.js';

/** Formatting by the user's settings; without a signal by those that came last, else by the shipped ones. */
export function useFormat(): Format {
  const { data } = useSettings();
  const { display = DEFAULT_DISPLAY, timeZone = 'UTC' } = data ?? keptSettings() ?? {};
  return useMemo(() => makeFormat(display, timeZone), [display, timeZone]);
}
