export * from './shop-facts.js';
export * from './keeper.js';
export * from './known-weather.js';
export * from './car-facts.js';
export * from './car-state.js';
export * from './plan-notes.js';
export * from './roads.js';
export * from './sites.js';
