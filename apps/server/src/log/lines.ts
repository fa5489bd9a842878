import type { LoggerService, LogLevel } from '@nestjs/common';
import { redacted } from './redacted.js';
import { requestNumber } from './request-number.js';

/** From what matters most to what matters least. */
export const LOG_LEVELS = [
  'fatal',
  'error',
  'warn',
  'log',
  'debug',
  'verbose',
] as const satisfies readonly LogLevel[];
type Level = (typeof LOG_LEVELS)[number];

const textOf = (value: unknown): string => {
  if (value instanceof Error) return value.stack ?? value.message;
  return typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
};

/** One line of JSON for each thing that happened: when, how grave, where, in which request; nothing of people. */
export class Lines implements LoggerService {
  /**
   * @param most up to which level is written
   * @param write where to
   */
  constructor(
    private readonly most: Level,
    private readonly write: (line: string) => void = (line) => void process.stderr.write(`${line}\n`),
  ) {}

  private put(level: Level, message: unknown, rest: readonly unknown[]): void {
    if (LOG_LEVELS.indexOf(level) > LOG_LEVELS.indexOf(this.most)) return;
    // Nest hands the place last, and the stack of an error before it.
    const where = rest.at(-1);
    const stack = rest.length > 1 ? rest[0] : undefined;
    const request = requestNumber();
    this.write(
      JSON.stringify({
        at: new Date().toISOString(),
        level,
        ...(typeof where === 'string' && { where }),
        ...(request !== null && { request }),
        message: redacted(textOf(message)),
        ...(typeof stack === 'string' && { stack: redacted(stack) }),
      }),
    );
  }

  log(message: unknown, ...rest: unknown[]): void {
    this.put('log', message, rest);
  }
  fatal(message: unknown, ...rest: unknown[]): void {
    this.put('fatal', message, rest);
  }
  error(message: unknown, ...rest: unknown[]): void {
    this.put('error', message, rest);
  }
  warn(message: unknown, ...rest: unknown[]): void {
    this.put('warn', message, rest);
  }
  debug(message: unknown, ...rest: unknown[]): void {
    this.put('debug', message, rest);
  }
  verbose(message: unknown, ...rest: unknown[]): void {
    this.put('verbose', message, rest);
  }
}
