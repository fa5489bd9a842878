export * from './data/season-jobs.js';
export * from './data/season-steps.js';
export * from './season-work.js';
export * from './season-numbers.js';
export * from './season-start.js';
export * from './season-due.js';
export * from './season-extras.js';
