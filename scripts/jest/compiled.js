/** How TypeScript is compiled for unit tests. */
export const COMPILED = {
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
};
