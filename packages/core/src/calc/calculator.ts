import { z } from 'zod';
import { FieldError, type FieldErrorCode } from '../quantity/index.js';

/** A named sum with a schema for what goes in and what comes out; it is answered at once. */
export interface Calculator<I = never, O = unknown> {
  readonly name: string;
  /** The practitioner's question that it answers. */
  readonly question: string;
  readonly input: z.ZodType<I>;
  readonly output: z.ZodType<O>;
  readonly run: (input: I) => O;
}

export type NamedSum<I = never, O = unknown> = Omit<Calculator<I, O>, 'run'>;

export interface SolverWatch {
  /** Seconds since some moment; the core has no clock of its own. */
  readonly clockSeconds: () => number;
  /** True ends the search with the best so far. */
  readonly isOver?: () => boolean;
}

/** A sum that searches for its answer, and takes its time. */
export interface Solver<I = never, O = unknown> extends NamedSum<I, O> {
  readonly solve: (input: I, watch: SolverWatch) => Promise<O>;
}

export interface CalculatorError {
  readonly code: FieldErrorCode;
  readonly field: string;
  readonly message: string;
}

export type CalculatorAnswer =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly error: CalculatorError };

type Issue = z.core.$ZodIssue;

/** What stands in the input at an issue's path; undefined where nothing does. */
const valueAt = (input: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    input,
  );

function codeOf(issue: Issue, value: unknown): FieldErrorCode {
  if (value === undefined) return 'missing-field';
  if (issue.code === 'too_small' || issue.code === 'too_big') return 'out-of-range';
  if (issue.code === 'invalid_value') return 'unknown-name';
  return 'wrong-type';
}

function errorOf(issue: Issue, input: unknown): CalculatorError {
  const path = issue.path.map(String);
  if (issue.code === 'unrecognized_keys') {
    const field = [...path, issue.keys[0] ?? ''].join('.');
    return { code: 'unknown-field', field, message: `${field} is not a field of this sum` };
  }
  const field = path.join('.') || 'input';
  const code = codeOf(issue, valueAt(input, issue.path));
  const text = code === 'missing-field' ? 'is needed' : issue.message;
  return { code, field, message: `${field}: ${text}` };
}

function parsed<I>(
  sum: NamedSum<I>,
  input: unknown,
): { ok: true; input: I } | (CalculatorAnswer & { ok: false }) {
  const result = sum.input.safeParse(input);
  if (result.success) return { ok: true, input: result.data };
  const [first] = result.error.issues;
  const error = first
    ? errorOf(first, input)
    : { code: 'wrong-type' as const, field: 'input', message: 'input: not understood' };
  return { ok: false, error };
}

function faultOf(error: unknown): CalculatorAnswer {
  if (!(error instanceof FieldError)) throw error;
  return { ok: false, error: { code: error.code, field: error.field, message: error.message } };
}

/**
 * Runs one calculator on untrusted input.
 *
 * @returns the value, or the first fault with the field that it is in; never throws for a fault of the input
 */
export function calculate(calculator: Calculator, input: unknown): CalculatorAnswer {
  const good = parsed(calculator, input);
  if (!good.ok) return good;
  try {
    return { ok: true, value: calculator.run(good.input) };
  } catch (error) {
    return faultOf(error);
  }
}

/** The same for a sum that searches. */
export async function solve(solver: Solver, input: unknown, watch: SolverWatch): Promise<CalculatorAnswer> {
  const good = parsed(solver, input);
  if (!good.ok) return good;
  try {
    return { ok: true, value: await solver.solve(good.input, watch) };
  } catch (error) {
    return faultOf(error);
  }
}

/** Keeps the types of input, output and sum together, then forgets them for the catalogue. */
export function defineCalculator<I, O>(calculator: Calculator<I, O>): Calculator {
  return calculator as unknown as Calculator;
}

export function defineSolver<I, O>(solver: Solver<I, O>): Solver {
  return solver as unknown as Solver;
}

/** JSON schemas of a sum, for the listing and the documentation page. */
export const schemasOf = (sum: NamedSum): { input: unknown; output: unknown } => ({
  input: z.toJSONSchema(sum.input, { io: 'input' }),
  output: z.toJSONSchema(sum.output),
});
