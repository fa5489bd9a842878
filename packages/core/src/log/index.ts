export * from './wash-record.js';
export * from './coats-laid.js';
export * from './wash-effect.js';
export * from './learned-minutes.js';
export * from './learned-ml.js';
export * from './work-among-steps.js';
