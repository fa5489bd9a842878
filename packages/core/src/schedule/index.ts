export * from './schedule-problem.js';
export * from './check-schedule.js';
export { goodSchedule } from './search.js';
export * from './solve-schedule.js';
export * from './named-schedule.js';
