export * from './swab.js';
