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

/** Components of the web, in a made-up browser. */
const components = {
  ...project('components', 'apps/web'),
  ...ON_CORE,
  testMatch: ['<rootDir>/src/**/*.test.tsx'],
  setupFiles: [inJest('bare/setup.js'), inJest('bare/page.js'), '<rootDir>/src/testing/browser.ts'],
  setupFilesAfterEnv: [inJest('bare/fresh-page.js')],
};

export default {
  // By itself Jest leaves one of two processors alone.
  maxWorkers: 2,
  projects: [
    project('core', 'packages/core'),
    { ...project('server', 'apps/server'), ...ON_CORE },
    { ...project('web', 'apps/web'), ...ON_CORE },
    { ...project('structure', 'scripts/structure'), testMatch: ['<rootDir>/*.test.ts'] },
    components,
  ],
};
