export * from './quote.js';
