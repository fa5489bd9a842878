import { suite } from './browser.js';

export default suite([{ name: 'pictures', port: 4392, match: '**/screenshots.shots.ts' }], 1);
