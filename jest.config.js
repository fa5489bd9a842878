import { CORE_IN_ONE } from './scripts/jest/from-source.js';
import { SERVER_VENDOR, WEB_VENDOR } from './scripts/jest/vendor.js';

// Unit tests run in a zone that no shop of theirs is in: what reads the machine's own clock face shows.
process.env.TZ = 'Pacific/Auckland';

const transform = {
  '^.+\\.tsx?$': [
    new URL('scripts/jest/transform.js', import.meta.url).pathname,
    {
      swcrc: false,
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          useDefineForClassFields: false,
          react: { runtime: 'automatic' },
        },
        target: 'es2022',
        keepClassNames: true,
      },
      module: { type: 'es6' },
    },
  ],
};

/** One project per workspace; all run as ECMAScript modules from the TypeScript source. */
const project = (displayName, root) => ({
  displayName,
  rootDir: root,
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testEnvironmentOptions: { customExportConditions: ['source', 'node', 'node-addons'] },
  transform,
});

/** What rests on the core takes it in one file, made from its sources before the tests start. */
const onCore = ({ moduleNameMapper, ...rest }) => ({
  ...rest,
  moduleNameMapper: { '^@keen/core$': CORE_IN_ONE, ...moduleNameMapper },
  globalSetup: `${import.meta.dirname}/scripts/jest/from-source.js`,
});

const server = project('server', 'apps/server');
server.moduleNameMapper = { ...SERVER_VENDOR, ...server.moduleNameMapper };

/** Components of the web in a made-up browser. */
const components = {
  ...project('components', 'apps/web'),
  testMatch: ['<rootDir>/src/**/*.test.tsx'],
  testEnvironment: 'jsdom',
  testEnvironmentOptions: { customExportConditions: ['source', 'browser'] },
  moduleNameMapper: {
    ...WEB_VENDOR,
    '\\.css$': '<rootDir>/src/testing/no-styles.js',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  setupFiles: ['<rootDir>/src/testing/browser.ts'],
};

export default {
  testTimeout: 60_000,
  // Modules of a test file are never wholly given back: a process that has grown so far is ended between two files and another takes over.
  workerIdleMemoryLimit: '1GB',
  projects: [
    project('core', 'packages/core'),
    onCore(server),
    onCore(project('web', 'apps/web')),
    { ...project('structure', 'scripts/structure'), testMatch: ['<rootDir>/*.test.ts'] },
    onCore(components),
  ],
};
