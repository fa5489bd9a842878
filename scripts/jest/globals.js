/**
 * A test file runs in a context of its own, in which every use of a global is a slow look-up: each module takes those of the language once.
 * Not the clock nor what comes from outside, which tests put others in the place of.
 */
const OF_THE_LANGUAGE = [
  'Math',
  'Object',
  'Symbol',
  'Array',
  'Number',
  'String',
  'Error',
  'TypeError',
  'Map',
  'Set',
  'WeakMap',
  'JSON',
  'Reflect',
];

/** What is made under other names of them is another thing. */
export const TAKEN_ONCE = OF_THE_LANGUAGE.join();

const isUsed = (name, code) => new RegExp(`\\b${name}\\b`).test(code);
const isDeclared = (name, code) =>
  new RegExp(`\\b(?:(?:const|let|var|class|function) ${name}\\b|import (?:{[^}]*\\b)?${name}\\b)`).test(code);

/** The same module with those of them that it uses and does not declare in constants of its own. */
export function takenOnce(code) {
  const names = OF_THE_LANGUAGE.filter((name) => isUsed(name, code) && !isDeclared(name, code));
  return names.length > 0 ? `const { ${names.join(', ')} } = globalThis;${code}` : code;
}
