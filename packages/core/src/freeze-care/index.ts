export * from './freeze-care.js';
