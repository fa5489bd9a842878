export * from './data/prices.js';
export * from './wash-cost.js';
export * from './wash-value.js';
export * from './cadence.js';
export * from './vehicle-morning.js';
export * from './morning-answer.js';
export * from './balance.js';
export * from './season-cadence.js';
