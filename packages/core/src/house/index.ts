export * from './data/house-rules.js';
