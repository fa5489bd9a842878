export * from './calculator.js';
export * from './catalogue.js';
