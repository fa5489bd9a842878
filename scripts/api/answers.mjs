// Reads from the controllers what each operation is, takes and answers: its summary, the names of its body and query classes, and the schema
// of its answer, made from the type of the method itself. Used by scripts/api/write.mjs.
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import ts from 'typescript';
import {
  createFormatter,
  createParser,
  createProgram,
  SchemaGenerator,
  StringType,
} from 'ts-json-schema-generator';

const ROUTE = /^(Get|Post|Put|Patch|Delete|Sse)\(/;
const WRAPPED = /^(?:Promise|Observable)<(.*)>$/s;
/** Answered with no JSON: nothing, a file, a stream of events. */
const NO_JSON = new Set(['void', 'StreamableFile', 'MessageEvent']);

const decoratorsOf = (node) => (ts.getDecorators(node) ?? []).map(({ expression }) => expression.getText());

const controllersIn = (folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.controller.ts'))
    .map((name) => join(folder, name));

const classTaken = (method, by) =>
  method.parameters
    .filter((one) => decoratorsOf(one).some((text) => text === `${by}()`))
    .map(({ type }) => type?.getText() ?? '')
    .find((name) => /^\w+$/.test(name) && name !== 'unknown') ?? null;

/** Names that an import brings. */
const namesOf = ({ importClause }) => {
  const { name, namedBindings } = importClause ?? {};
  const bound = namedBindings?.elements?.map((one) => one.name) ?? [namedBindings?.name];
  return [name, ...bound].filter(Boolean).map(({ text }) => text);
};

const commentOf = (node) =>
  ts
    .getJSDocCommentsAndTags(node)
    .map(({ comment }) => (typeof comment === 'string' ? comment : ''))
    .join(' ')
    .replace(/\s+/g, ' ')
    .trim();

function operationsOf(file) {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.ES2022, true);
  const imports = source.statements
    .filter(ts.isImportDeclaration)
    .map((one) => ({ text: one.getText(), names: namesOf(one) }));
  const operations = source.statements.filter(ts.isClassDeclaration).flatMap((controller) =>
    controller.members
      .filter((one) => ts.isMethodDeclaration(one) && decoratorsOf(one).some((text) => ROUTE.test(text)))
      .map((method) => {
        const name = `${controller.name?.text}_${method.name.getText()}`;
        const answer = method.type?.getText() ?? '';
        const type = WRAPPED.exec(answer)?.[1] ?? answer;
        const summary = commentOf(method);
        if (!summary) throw new Error(`${name} has no comment that says what it does`);
        const [body, query] = [classTaken(method, 'Body'), classTaken(method, 'Query')];
        return { name, summary, type: NO_JSON.has(type) ? null : type, body, query };
      }),
  );
  return { imports, operations };
}

/** Types of the answers as files of a folder of their own, for as long as they are read. */
function withAnswerFiles(root, controllers, work) {
  const cache = join(root, 'node_modules', '.cache', 'keen');
  mkdirSync(cache, { recursive: true });
  const folder = mkdtempSync(join(cache, 'answers-'));
  const faults = "import type { ErrorBody } from '@keen/core';\nexport type Faults = ErrorBody;\n";
  writeFileSync(join(folder, 'faults.ts'), faults);
  for (const { file, imports, operations } of controllers) {
    const typed = operations.filter(({ type }) => type !== null && type !== 'string');
    const types = typed.map((one) => `export type ${one.name} = ${one.type};`);
    // What no answer is made of, the services among it, would be read for nothing, with all that it rests on.
    const own = imports
      .filter(({ names }) => names.some((name) => new RegExp(`\\b${name}\\b`).test(types.join('\n'))))
      .map(({ text }) =>
        text.replace(/from '(\.[^']*)'/, (_all, path) => `from '${join(dirname(file), path)}'`),
      );
    const lines = [...own, ...types];
    writeFileSync(join(folder, basename(file)), `${lines.join('\n')}\n`);
  }
  try {
    return work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Tables name their sources by constants, whose text no answer depends on. */
const byName = {
  supportsNode: (node) => node.kind === ts.SyntaxKind.Identifier,
  createType: () => new StringType(),
};

/** The name of a schema without what a reference must not hold. */
const plainName = (name) => name.replace(/[<,]+/g, '_').replace(/[^\w.-]+/g, '');

function renamed(value) {
  if (Array.isArray(value)) return value.map(renamed);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [
      key,
      key === '$ref'
        ? `#/components/schemas/${plainName(decodeURIComponent(inner.replace('#/definitions/', '')))}`
        : renamed(inner),
    ]),
  );
}

/**
 * @param {string} root of the repository
 * @returns operations by their order in the controllers, and by name the schemas of their answers and of what these rest on
 */
export function readAnswers(root) {
  const folder = join(root, 'apps', 'server', 'src');
  const controllers = controllersIn(folder)
    .toSorted()
    .map((file) => ({ file, ...operationsOf(file) }));
  const { definitions = {} } = withAnswerFiles(root, controllers, (answers) => {
    const config = {
      path: join(answers, '*.ts'),
      tsconfig: join(root, 'tsconfig.base.json'),
      skipTypeCheck: true,
      topRef: true,
      expose: 'export',
      jsDoc: 'extended',
    };
    const program = createProgram(config);
    const parser = createParser(program, config, (parsers) => parsers.addNodeParser(byName));
    return new SchemaGenerator(program, parser, createFormatter(config), config).createSchema('*');
  });
  const operations = controllers.flatMap((one) => one.operations);
  const schemas = Object.fromEntries(
    Object.entries(definitions)
      .map(([name, schema]) => [plainName(name), renamed(schema)])
      .toSorted(([a], [b]) => (a < b ? -1 : 1)),
  );
  return { operations, schemas };
}
