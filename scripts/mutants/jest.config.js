// Jest as scripts/mutants/run.mjs uses it: the tests of one folder alone, by Jest's own runner, since changes are switched in its contexts.
import { fileURLToPath } from 'node:url';
import { COMPILED } from '../jest/compiled.js';
import { CORE_IN_ONE } from '../jest/from-source.js';
import { VENDOR_OF_WEB } from '../jest/vendor.js';

process.env.TZ = 'Pacific/Auckland';

const { KEEN_MUTANTS_AREA: area, KEEN_MUTANTS_FOLDER: folder } = process.env;
const ROOTS = { core: 'packages/core', server: 'apps/server', web: 'apps/web' };
const inJest = (name) => fileURLToPath(new URL(`../jest/${name}`, import.meta.url));

/** Tests of the web with components and without run side by side, all in the made-up browser. */
const WEB = {
  setupFiles: ['<rootDir>/src/testing/browser.ts'],
  moduleNameMapper: Object.fromEntries([
    ...[...VENDOR_OF_WEB].map(([name, url]) => [`^${name}$`, fileURLToPath(url)]),
    ['\\.css$', inJest('bare/no-styles.js')],
  ]),
};
const isWeb = area === 'web';
const { moduleNameMapper = {}, ...ofArea } = isWeb ? WEB : {};

export default {
  ...ofArea,
  rootDir: fileURLToPath(new URL(`../../${ROOTS[area]}`, import.meta.url)),
  testMatch: [`<rootDir>/src/${folder}/**/*.test.ts`, `<rootDir>/src/${folder}/**/*.test.tsx`],
  testEnvironment: `@stryker-mutator/jest-runner/jest-env/${isWeb ? 'jsdom' : 'node'}`,
  testEnvironmentOptions: {
    customExportConditions: ['source', ...(isWeb ? ['browser'] : ['node', 'node-addons'])],
  },
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: {
    '^@keen/core$': CORE_IN_ONE,
    ...moduleNameMapper,
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  transform: { '^.+\\.tsx?$': ['@swc/jest', COMPILED] },
  globalSetup: inJest('from-source.js'),
  testTimeout: 60_000,
};
