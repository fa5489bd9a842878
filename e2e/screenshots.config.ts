import { suite } from './browser.js';

export default suite({ port: 4392, match: '**/screenshots.shots.ts' });
