export * from './run-step.js';
export * from './preparation.js';
export * from './run-sheet.js';
