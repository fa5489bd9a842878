// Compiles TypeScript for Jest; each module takes the globals that it uses once.
import swc from '@swc/jest';
import { TAKEN_ONCE, takenOnce } from './globals.js';

const withGlobals = (output) => ({ ...output, code: takenOnce(output.code) });

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (...args) => withGlobals(inner.process(...args)),
      processAsync: async (...args) => withGlobals(await inner.processAsync(...args)),
      getCacheKey: (...args) => `${inner.getCacheKey(...args)}${TAKEN_ONCE}`,
    };
  },
};
