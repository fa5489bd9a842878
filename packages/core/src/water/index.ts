export * from './hardness.js';
export * from './residue.js';
export * from './resin-life.js';
export * from './bucket.js';
export * from './dilution.js';
export * from './panel-impact.js';
export * from './mixed.js';
export * from './bottle-mix.js';
