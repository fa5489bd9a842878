import { suite } from './browser.js';

export default suite({ port: 4391, match: '**/*.spec.ts' });
