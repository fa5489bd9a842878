const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      swcrc: false,
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false },
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

export default {
  testTimeout: 60_000,
  projects: [project('core', 'packages/core'), project('server', 'apps/server'), project('web', 'apps/web')],
};
