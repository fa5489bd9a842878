import {
  type ValidationArguments,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from 'class-validator';

/** Opening and closing on one day, minutes after midnight. */
export class OpenSpanDto {
  openMinute: number;
  closeMinute: number;
}

const isMinute = (value: unknown): boolean =>
  Number.isInteger(value) && Number(value) >= 0 && Number(value) <= 1440;

/** Each weekday is closed (null) or has exactly an opening and a closing minute. */
@ValidatorConstraint({ name: 'openHours' })
export class OpenHoursConstraint implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return (
      Array.isArray(value) &&
      value.length === 7 &&
      value.every((span: unknown) => {
        if (span === null) return true;
        if (typeof span !== 'object') return false;
        const { openMinute, closeMinute, ...others } = span as Record<string, unknown>;
        return isMinute(openMinute) && isMinute(closeMinute) && Object.keys(others).length === 0;
      })
    );
  }

  defaultMessage({ property }: ValidationArguments): string {
    return `${property} must have seven weekdays, Monday first, each null or {openMinute, closeMinute} from 0 to 1440`;
  }
}
