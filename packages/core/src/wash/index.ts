export * from './panel-wash.js';
export * from './wash-sum.js';
