import { COMPILED } from './scripts/jest/compiled.js';
import { CORE_IN_ONE } from './scripts/jest/from-source.js';
import { WEB_VENDOR } from './scripts/jest/vendor.js';

// Unit tests run in a zone that no shop of theirs is in: what reads the machine's own clock face shows.
process.env.TZ = 'Pacific/Auckland';

const inJest = (name) => `${import.meta.dirname}/scripts/jest/${name}`;

/**
 * One project per workspace, run as ECMAScript modules from the TypeScript source, by Node.js itself: what is loaded once serves all test
 * files of a process, and is compiled and warm for them.
 */
const project = (displayName, root) => ({
  displayName,
  rootDir: root,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  runner: 'jest-light-runner/child-process',
  setupFiles: [inJest('bare/setup.js')],
  transform: {},
});

/** What rests on the core takes it in one file, made from its sources before the tests start. */
const ON_CORE = { globalSetup: inJest('from-source.js') };

/** By Jest's own runner: each test file has modules and globals of its own. */
export const apart = {
  ...ON_CORE,
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^@keen/core$': CORE_IN_ONE, '^(\\.{1,2}/.*)\\.js$': '$1' },
  transform: { '^.+\\.tsx?$': [inJest('transform.js'), COMPILED] },
};

/** Components of the web in a made-up browser, each file in one of its own. */
export const components = {
  ...apart,
  displayName: 'components',
  rootDir: 'apps/web',
  testMatch: ['<rootDir>/src/**/*.test.tsx'],
  testEnvironment: 'jsdom',
  testEnvironmentOptions: { customExportConditions: ['source', 'browser'] },
  moduleNameMapper: {
    ...WEB_VENDOR,
    '\\.css$': '<rootDir>/src/testing/no-styles.js',
    ...apart.moduleNameMapper,
  },
  setupFiles: ['<rootDir>/src/testing/browser.ts'],
};

export default {
  testTimeout: 60_000,
  // Modules of a test file are never wholly given back: a process that has grown so far is ended between two files and another takes over.
  workerIdleMemoryLimit: '1GB',
  projects: [
    project('core', 'packages/core'),
    { ...project('server', 'apps/server'), ...ON_CORE },
    { ...project('web', 'apps/web'), ...ON_CORE },
    { ...project('structure', 'scripts/structure'), testMatch: ['<rootDir>/*.test.ts'] },
    components,
  ],
};
