export * from './table-cells.js';
