export * from './treatment.js';
export * from './treatment-rows.js';
export * from './road.js';
export * from './likely-treatments.js';
export * from './road-treatments.js';
