export * from './data/limits.js';
export * from './rule.js';
export { gradeAtContact, shopStands, wearLimitPh } from './care-rules.js';
export { couldSpot, gapWaterMl } from './water-rules.js';
export * from './judge-all.js';
export * from './rule-sheet.js';
