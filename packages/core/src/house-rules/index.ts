export * from './variant.js';
export * from './data/house-rules.js';
export * from './wash-choices.js';
