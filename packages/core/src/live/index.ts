export * from './run-action.js';
export * from './run-action-schema.js';
export * from './run-pack.js';
export * from './run-state.js';
export * from './run-moment.js';
export * from './edges-now.js';
export * from './run-record.js';
export * from './sun-side.js';
