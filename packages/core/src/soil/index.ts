export * from './soil.js';
export * from './quick-look.js';
