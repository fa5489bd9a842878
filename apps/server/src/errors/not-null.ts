import { ValidateIf } from 'class-validator';

/** It may be absent, but not null: null would be kept as if it were a value. */
export const MayBeAbsent = (): PropertyDecorator =>
  ValidateIf((_of: object, value: unknown) => value !== undefined);
