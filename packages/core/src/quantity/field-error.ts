/** What is wrong with one input field; the server and the command line show it as it stands. */
export type FieldErrorCode =
  | 'missing-field'
  | 'unknown-field'
  | 'wrong-type'
  | 'out-of-range'
  | 'not-exactly-one'
  | 'bad-json'
  | 'unknown-name'
  | 'inconsistent';

/**
 * A caller's fault in one named field. Message: function, field, what was given, what is allowed, unit.
 */
export class FieldError extends RangeError {
  constructor(
    readonly code: FieldErrorCode,
    readonly field: string,
    message: string,
  ) {
    super(message);
    this.name = 'FieldError';
  }
}

export interface RangeLimits {
  readonly min: number;
  readonly max: number;
  readonly unit: string;
}

/**
 * Guards a number: finite and within [min, max].
 *
 * @param owner name of the function that guards, for the message
 * @param fields exactly the fields to check, by name
 * @throws FieldError `out-of-range` naming the first field outside
 * @example requireInRange('film', { tiltDeg: 90 }, { min: 0, max: 180, unit: 'deg' })
 */
export function requireInRange(
  owner: string,
  fields: Readonly<Record<string, number>>,
  limits: RangeLimits,
): void {
  for (const field in fields) {
    const value = fields[field] ?? NaN;
    if (value >= limits.min && value <= limits.max) continue;
    throw new FieldError(
      'out-of-range',
      field,
      `${owner}: ${field} is ${value}; allowed is ${limits.min} to ${limits.max} ${limits.unit}`,
    );
  }
}
