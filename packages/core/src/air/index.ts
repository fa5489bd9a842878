export * from './saturation.js';
export * from './humid-air.js';
export * from './wind-chill.js';
export * from './sky.js';
