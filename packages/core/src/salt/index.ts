export * from './active-hours-saved.js';
export * from './data/zones.js';
export * from './wall-clock.js';
export * from './ledger.js';
export * from './compile-life.js';
export * from './learn-pick-up.js';
export * from './car-life.js';
export * from './swab.js';
