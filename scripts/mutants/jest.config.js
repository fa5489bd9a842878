// Jest as scripts/mutants/run.mjs uses it: the tests of one folder alone.
import { apart, components } from '../../jest.config.js';

const { KEEN_MUTANTS_AREA: area, KEEN_MUTANTS_FOLDER: folder } = process.env;
const ROOTS = { core: 'packages/core', server: 'apps/server' };
// Tests of the web with components and without run side by side, all in the made-up browser.
const project = area === 'web' ? components : { ...apart, rootDir: ROOTS[area] };
const environment = area === 'web' ? 'jsdom' : 'node';

export default {
  ...project,
  rootDir: new URL(`../../${project.rootDir}`, import.meta.url).pathname,
  testMatch: [`<rootDir>/src/${folder}/**/*.test.ts`, `<rootDir>/src/${folder}/**/*.test.tsx`],
  testEnvironment: `@stryker-mutator/jest-runner/jest-env/${environment}`,
  testTimeout: 60_000,
};
