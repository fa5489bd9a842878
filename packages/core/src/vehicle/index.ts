export * from './data/panels.js';
export * from './vehicle.js';
