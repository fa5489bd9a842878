export * from './place.js';
export * from './local-time.js';
export * from './open-hours.js';
export * from './place-air.js';
export * from './place-record.js';
export * from './finish.js';
export * from './sun-hours.js';
