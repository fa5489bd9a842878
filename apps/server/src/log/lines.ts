import { ConsoleLogger, type LogLevel } from '@nestjs/common';
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

/** Every text in a value without what concerns people. */
function withoutPeople(value: unknown): unknown {
  if (typeof value === 'string') return redacted(value);
  if (Array.isArray(value)) return value.map(withoutPeople);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, withoutPeople(one)]));
}

/** One line of JSON for each event: when, how grave, where, in which request; nothing of people. */
export class Lines extends ConsoleLogger {
  /** @param most up to which level is written */
  constructor(most: Level) {
    super({ json: true, colors: false, logLevels: LOG_LEVELS.slice(0, LOG_LEVELS.indexOf(most) + 1) });
  }

  protected override getJsonLogObject(
    ...given: Parameters<ConsoleLogger['getJsonLogObject']>
  ): ReturnType<ConsoleLogger['getJsonLogObject']> {
    const line = super.getJsonLogObject(...given);
    const request = requestNumber();
    return withoutPeople(request === null ? line : { ...line, request }) as typeof line;
  }
}
