// Puts small changes into the code of a folder, one at a time, and tells how many of them that folder's own tests notice:
//   npm run mutants                          all folders; takes hours
//   npm run mutants -- core/road web/drive   those named, as <area>/<folder under src>
//   npm run mutants -- --percent 20          only that share of the changes, always the same ones
// The scores are kept in docs/mutants.md. What survived, with its line, is printed.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..', '..');
const SCORES = join(root, 'docs', 'mutants.md');
const REPORT = join(root, '.data', 'mutants', 'report.json');
const AREAS = { core: 'packages/core/src', server: 'apps/server/src', web: 'apps/web/src' };
const NOTICED = new Set(['Killed', 'Timeout', 'RuntimeError']);

const HEAD = `# What the tests notice

Small changes are put into the code of a folder one at a time: a sign turned, a limit moved, a call left out. The score is
the share that the folder's **own unit tests** notice; a change that only the tests of another folder would notice counts
as missed. Wording is left alone, and so are constants that are read once when a file loads. \`npm run mutants -- core/road\`
measures a folder again, prints what was missed with its line, and writes its row here; with \`--percent 20\` it tries only
that share of the changes, the same ones each time, and the row says so.

| folder | tried | changes | noticed | score |
|---|---|---|---|---|
`;

const { values, positionals: asked } = parseArgs({
  options: { percent: { type: 'string', default: '100' } },
  allowPositionals: true,
});
const percent = Number(values.percent);
if (!(percent >= 1 && percent <= 100)) {
  console.error(`mutants: --percent ${values.percent} is no share; use 1 to 100`);
  process.exit(2);
}

const hasTests = (path) =>
  readdirSync(path, { withFileTypes: true }).some((entry) =>
    entry.isDirectory() ? hasTests(join(path, entry.name)) : /\.test\.tsx?$/.test(entry.name),
  );

/** Folders with tests of their own; the web's features count one by one. */
function allFolders() {
  return Object.entries(AREAS).flatMap(([area, path]) => {
    const folders = (under) =>
      readdirSync(join(root, path, under), { withFileTypes: true })
        .filter((entry) => entry.isDirectory())
        .map((entry) => (under ? `${under}/${entry.name}` : entry.name));
    const named = folders('').flatMap((name) => (name === 'features' ? folders(name) : [name]));
    return named.filter((name) => hasTests(join(root, path, name))).map((name) => `${area}/${name}`);
  });
}

/** @returns how many changes were made in a folder and how many noticed */
function measure(name) {
  const [area, ...rest] = name.split('/');
  const folder = rest.join('/');
  const path = AREAS[area] && join(AREAS[area], folder);
  if (!path || !folder || !existsSync(join(root, path))) {
    console.error(
      `mutants: ${name} is no folder; use ${Object.keys(AREAS).join(', ')} and a folder, as core/road`,
    );
    process.exit(2);
  }
  if (!hasTests(join(root, path))) {
    console.error(`mutants: ${name} has no tests of its own`);
    process.exit(2);
  }
  // What an earlier folder left is not this one's.
  rmSync(REPORT, { force: true });
  // Commands run as processes of their own, which end-to-end tests start; tables of a database are compared with its migrations.
  const notTried = ['*.test.ts', '*.d.ts', '*-command.ts', 'schema.ts'].map((name) => `!${path}/**/${name}`);
  const mutate = [`${path}/**/*.ts`, ...notTried].join(',');
  const stryker = join(root, 'node_modules', '.bin', 'stryker');
  const ran = spawnSync(stryker, ['run', 'scripts/mutants/stryker.config.mjs', '--mutate', mutate], {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      KEEN_MUTANTS_AREA: area,
      KEEN_MUTANTS_FOLDER: folder,
      KEEN_MUTANTS_PERCENT: String(percent),
    },
  });
  if (ran.status !== 0) process.exit(ran.status ?? 1);
  const report = JSON.parse(readFileSync(REPORT, 'utf8'));
  const states = Object.values(report.files).flatMap((file) => file.mutants.map(({ status }) => status));
  const counted = states.filter((status) => status !== 'Ignored' && status !== 'CompileError');
  return { changes: counted.length, noticed: counted.filter((status) => NOTICED.has(status)).length };
}

function knownRows() {
  if (!existsSync(SCORES)) return new Map();
  const rows = readFileSync(SCORES, 'utf8').matchAll(/^\| ((?:core|server|web)\/\S+) +\|.*$/gm);
  return new Map([...rows].map(([row, name]) => [name, row]));
}

const rows = knownRows();
for (const name of asked.length > 0 ? asked : allFolders()) {
  const { changes, noticed } = measure(name);
  const score = changes === 0 ? '–' : `${Math.round((100 * noticed) / changes)} %`;
  rows.set(name, `| ${name} | ${percent} % | ${changes} | ${noticed} | ${score} |`);
  const sorted = [...rows.keys()].sort().map((key) => rows.get(key));
  writeFileSync(SCORES, `${HEAD}${sorted.join('\n')}\n`);
  spawnSync(join(root, 'node_modules', '.bin', 'oxfmt'), [SCORES]);
  console.log(`${name}: ${noticed} of ${changes} noticed, ${score}`);
}
