export * from './meter.js';
