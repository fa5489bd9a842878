export * from './field-error.js';
export * from './bisect.js';
export * from './angles.js';
export * from './interpolate.js';
export * from './median.js';
export * from './money.js';
export * from './time.js';
export * from './physics.js';
