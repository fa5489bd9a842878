export * from './film-outcome.js';
export * from './site-hours.js';
export * from './grid.js';
export * from './night-air.js';
export * from './road-ahead.js';
export * from './flips.js';
