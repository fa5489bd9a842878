// Compiles TypeScript for Jest. A test file runs in a context of its own, in which every use of a global is a slow
// look-up; the sums use Math so often that they ran at half speed, so each module takes it once.
import swc from '@swc/jest';

const TAKEN_ONCE = 'const Math = globalThis.Math;';

const withMath = (output) =>
  /\bMath\./.test(output.code) && !/\b(?:const|let|var|import) Math\b/.test(output.code)
    ? { ...output, code: TAKEN_ONCE + output.code }
    : output;

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (...args) => withMath(inner.process(...args)),
      processAsync: async (...args) => withMath(await inner.processAsync(...args)),
      getCacheKey: (...args) => `${inner.getCacheKey(...args)}${TAKEN_ONCE.length}`,
    };
  },
};
