export * from './film-outcome.js';
export * from './site-hours.js';
export * from './grid.js';
