export * from './data/zones.js';
export * from './data/panels.js';
export * from './vehicle.js';
export * from './vehicle-record.js';
export * from './data/season-job-ids.js';
export * from './data/traps.js';
export * from './section-id.js';
export { CAR_COLUMNS, type CarColumn } from './data/car-list-words.js';
export * from './car-list.js';
