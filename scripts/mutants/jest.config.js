// Jest as scripts/mutants/run.mjs uses it: the tests of one folder alone.
import all from '../../jest.config.js';

const { KEEN_MUTANTS_AREA: area, KEEN_MUTANTS_FOLDER: folder } = process.env;
const project = all.projects.find(({ displayName }) => displayName === area);

export default {
  ...project,
  rootDir: new URL(`../../${project.rootDir}`, import.meta.url).pathname,
  testMatch: [`<rootDir>/src/${folder}/**/*.test.ts`],
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  testTimeout: 60_000,
};
