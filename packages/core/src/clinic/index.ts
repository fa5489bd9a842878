export * from './data/rungs.js';
export * from './data/signs.js';
export * from './spot-ladder.js';
export * from './spot-record.js';
