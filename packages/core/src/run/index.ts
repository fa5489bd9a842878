export * from './run-step.js';
export * from './wet-edges.js';
export * from './drying.js';
export * from './cloths.js';
export * from './preparation.js';
export * from './round.js';
export * from './side-by-side.js';
export * from './run-sheet.js';
