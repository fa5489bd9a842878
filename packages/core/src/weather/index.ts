export * from './weather-hour.js';
export * from './simulate/climate.js';
export { type Member } from './simulate/fronts.js';
export * from './simulate/simulate-weather.js';
export { hashUnit } from './simulate/noise.js';
