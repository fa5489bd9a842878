export * from './variant.js';
export * from './data/house-rules.js';
export * from './own-bottles.js';
