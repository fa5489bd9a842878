import { filmTrace } from '@keen/core';
import { add, median, timed } from './shared.mjs';

/** One change in the film lab: the whole life of a film with every step kept. */
export async function lab() {
  const times = [];
  for (let i = 0; i < 60; i += 1) {
    const input = {
      material: ['steel', 'glass'][i % 2],
      tiltDeg: (i * 17) % 90,
      absorptanceFraction: 0.9,
      solarWm2: (i * 53) % 600,
      airTempC: -12 + (i % 20),
      relHumidityFraction: 0.5 + (i % 5) / 10,
      airSpeedMetresPerSecond: (i % 6) + 0.1,
      skyTempC: -18,
      filmGramsPerM2: 120,
      startTempC: 12,
      horizonMinutes: 720,
      brine: i % 3 === 0 ? { agent: 'NaCl', massPercent: 5 } : undefined,
    };
    times.push(await timed(() => filmTrace(input)));
  }
  const usual = median(times.slice(10));
  const worst = Math.max(...times.slice(10));
  add('film lab: one change, 12 h followed, median and slowest of 50', {
    measured: `${usual.toFixed(1)} and ${worst.toFixed(1)} ms`,
    asked: '≤ 30 ms',
    ok: worst <= 30,
  });
}
