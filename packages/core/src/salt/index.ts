export * from './data/zones.js';
export * from './ledger.js';
export * from './car-life.js';
export * from './swab.js';
