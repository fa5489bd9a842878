export * from './data/agents.js';
export * from './brine.js';
