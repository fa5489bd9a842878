import { createInterface } from 'node:readline';
import {
  allSums,
  calculate,
  type CalculatorAnswer,
  CALCULATORS,
  schemasOf,
  solve,
  SOLVERS,
} from '@keen/core';

const USAGE = 'Use: npm run -s calc -- <name> < input.jsonl, or npm run -s calc -- --list';
const BAD_INPUT = 2;

function list(): void {
  for (const sum of allSums())
    console.log(JSON.stringify({ name: sum.name, question: sum.question, ...schemasOf(sum) }));
}

function parse(line: string): { ok: true; input: unknown } | { ok: false; message: string } {
  try {
    return { ok: true, input: JSON.parse(line) as unknown };
  } catch (error) {
    return { ok: false, message: error instanceof Error ? error.message : 'not JSON' };
  }
}

type Sum = (input: unknown) => CalculatorAnswer | Promise<CalculatorAnswer>;

function sumOf(name: string): Sum | null {
  const calculator = CALCULATORS.get(name);
  if (calculator) return (input) => calculate(calculator, input);
  const solver = SOLVERS.get(name);
  return solver ? (input) => solve(solver, input, { clockSeconds: () => performance.now() / 1000 }) : null;
}

/** One JSON object a line in, one JSON line out for each, in order. Answers whether all were good. */
async function answerLines(name: string): Promise<boolean> {
  const sum = sumOf(name);
  if (!sum) {
    console.error(`There is no sum called ${name}. ${USAGE}`);
    return false;
  }
  let allGood = true;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const parsed = parse(line);
    const answer = parsed.ok
      ? await sum(parsed.input)
      : {
          ok: false as const,
          error: { code: 'bad-json' as const, field: 'input', message: `input: ${parsed.message}` },
        };
    allGood &&= answer.ok;
    console.log(JSON.stringify(answer.ok ? answer.value : { error: answer.error }));
  }
  return allGood;
}

const [name] = process.argv.slice(2);
if (name === '--list') list();
else if (name === undefined) {
  console.error(USAGE);
  process.exitCode = BAD_INPUT;
} else if (!(await answerLines(name))) process.exitCode = BAD_INPUT;
