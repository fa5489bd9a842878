export * from './data/limits.js';
export * from './rule.js';
export * from './finding.js';
export { gradeAtContact } from './care-rules.js';
export { shopStands, wearLimitPh, wearsProtection } from './chemistry-rules.js';
export { couldSpot } from './spot-rules.js';
export { gapWaterMl } from './water-rules.js';
export * from './judge-all.js';
export * from './rule-sheet.js';
