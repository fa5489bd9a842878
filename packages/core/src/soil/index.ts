export * from './soil.js';
