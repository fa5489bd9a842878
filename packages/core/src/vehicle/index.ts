export * from './data/zones.js';
export * from './data/panels.js';
export * from './vehicle.js';
export * from './vehicle-record.js';
export * from './data/season-job-ids.js';
export * from './data/traps.js';
export * from './section-id.js';
export * from './car-list.js';
