import type { QuickLook } from '@keen/core';

/** The whole car at a glance. */
export const QUICK_LOOK_NAMES: Readonly<Record<QuickLook, string>> = {
  clean: 'Clean',
  light: 'Light dust',
  'two-weeks': 'Two weeks of wet roads',
  month: 'A month',
  caked: 'Caked',
};
