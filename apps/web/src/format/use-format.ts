import { DEFAULT_DISPLAY } from '@keen/core';
import { useMemo } from 'react';
import { useSettings } from '../api/queries.js';
import { type Format, makeFormat } from './format.js';

/** Formatting by the user's settings; the shipped ones until those have come. */
export function useFormat(): Format {
  const { data } = useSettings();
  const display = data?.display ?? DEFAULT_DISPLAY;
  const timeZone = data?.timeZone ?? 'UTC';
  return useMemo(() => makeFormat(display, timeZone), [display, timeZone]);
}
