export * from './data/limits.js';
export * from './rule.js';
export * from './judge-all.js';
export * from './rule-sheet.js';
