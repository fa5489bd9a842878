export * from './calculator.js';
export * from './catalogue.js';
export * from './solvers.js';
