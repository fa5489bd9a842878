export * from './wash-record.js';
export * from './coats-laid.js';
export * from './wash-effect.js';
export * from './learned-minutes.js';
export * from './learned-ml.js';
export * from './work-among-steps.js';
export { WASH_COLUMNS, type WashColumn } from './data/wash-list-words.js';
export * from './wash-list.js';
