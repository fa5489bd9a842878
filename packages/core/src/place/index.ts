export * from './place.js';
export * from './local-time.js';
export * from './place-air.js';
export * from './place-record.js';
