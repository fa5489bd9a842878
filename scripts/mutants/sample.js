// Lets through a fixed share of the changes, always the same ones: KEEN_MUTANTS_PERCENT of a hundred.
import { createHash } from 'node:crypto';
import { CheckStatus } from '@stryker-mutator/api/check';
import { PluginKind, declareClassPlugin } from '@stryker-mutator/api/plugin';

/** @returns a number from 0 to 99 that depends only on where and what the change is */
function placeOf({ fileName, location, replacement }) {
  const name = fileName.replace(/^.*\/(packages|apps)\//, '');
  return (
    createHash('sha256')
      .update(JSON.stringify([name, location, replacement]))
      .digest()
      .readUInt16BE() % 100
  );
}

class Sample {
  async init() {}

  group(mutants) {
    return Promise.resolve([mutants.map(({ id }) => id)]);
  }

  check(mutants) {
    const percent = Number(process.env.KEEN_MUTANTS_PERCENT);
    const answer = (mutant) =>
      placeOf(mutant) < percent
        ? { status: CheckStatus.Passed }
        : { status: CheckStatus.CompileError, reason: 'not in the sample' };
    return Promise.resolve(Object.fromEntries(mutants.map((mutant) => [mutant.id, answer(mutant)])));
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Checker, 'sample', Sample)];
