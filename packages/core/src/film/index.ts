export { FUSION_J_PER_KG, WATER_HEAT_J_PER_KG_K } from './constants.js';
export * from './data/panel-materials.js';
export * from './film.js';
export * from './film-run.js';
export * from './panel-climate.js';
export * from './steady-panel.js';
export * from './water-store.js';
export * from './film-trace.js';
