export * from './data/prices.js';
export * from './wash-value.js';
export * from './soil-grade.js';
export * from './vehicle-morning.js';
export * from './morning-answer.js';
