export * from './wash-record.js';
