export * from './drive.js';
export * from './track-drives.js';
