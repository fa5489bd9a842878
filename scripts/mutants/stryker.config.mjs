// How small changes are put into the code on purpose; run.mjs says into which folder.
export default {
  packageManager: 'npm',
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'],
  jest: {
    projectType: 'custom',
    configFile: 'scripts/mutants/jest.config.js',
    enableFindRelatedTests: false,
  },
  coverageAnalysis: 'perTest',
  // A constant at the top of a file is read once when it loads, and then for all tests alike: it cannot be switched.
  ignoreStatic: true,
  // Wording is for people to judge; what is worked out is for the tests.
  mutator: { excludedMutations: ['StringLiteral'] },
  reporters: ['json', 'clear-text'],
  clearTextReporter: { allowColor: false, reportTests: false, skipFull: true },
  jsonReporter: { fileName: '.data/mutants/report.json' },
  tempDirName: '.data/mutants/sandbox',
  concurrency: 2,
  timeoutMS: 5_000,
  allowEmpty: true,
  plugins: ['@stryker-mutator/*', './scripts/mutants/sample.js'],
  checkers: ['sample'],
  ignorePatterns: ['.data', 'docs/screenshots', 'test-results', 'playwright-report'],
};
