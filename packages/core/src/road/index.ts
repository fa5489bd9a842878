export * from './road.js';
export * from './likely-treatments.js';
