export * from './sun-position.js';
export * from './irradiance.js';
export * from './shelter.js';
