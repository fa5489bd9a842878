// What tests import of Jest. The runner keeps it in globals, and knows neither limits of time nor all of the made-up clock.
import { ModernFakeTimers } from '@jest/fake-timers';
import { addEventHandler } from 'jest-circus';

export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, test } = globalThis;

/** Where a test says nothing else. */
const LIMIT_MS = 60_000;
const { setTimeout: later, clearTimeout: never } = globalThis;

/** The same work, which fails where it has not ended in time; the clock of the machine counts, whatever a test makes of it. */
const inTime = (work, limitMs) => async () => {
  let timer;
  const limit = new Promise((_, fail) => {
    timer = later(fail, limitMs, new Error(`has not ended within ${limitMs / 1000} s`));
  });
  try {
    await Promise.race([work(), limit]);
  } finally {
    never(timer);
  }
};

addEventHandler((event, { currentDescribeBlock: { children, hooks } }) => {
  const added = { add_test: children, add_hook: hooks }[event.name]?.at(-1);
  if (added?.fn) added.fn = inTime(added.fn, added.timeout ?? LIMIT_MS);
});

const timers = new ModernFakeTimers({ config: { fakeTimers: {} }, global: globalThis });

export const jest = {
  ...globalThis.jest,
  useFakeTimers: (options) => timers.useFakeTimers(options),
  useRealTimers: () => timers.useRealTimers(),
  setSystemTime: (now) => timers.setSystemTime(now),
  advanceTimersByTimeAsync: (ms) => timers.advanceTimersByTimeAsync(ms),
};
