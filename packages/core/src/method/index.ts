export * from './data/methods.js';
