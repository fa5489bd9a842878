import { badField } from '../errors/api-error.js';
import type { DoneWashDto } from './wash.dto.js';

/** A wash that was done has begun; it may have been before the car was entered. @throws 400 naming startMs */
export function requireDoable({ startMs }: Pick<DoneWashDto, 'startMs'>, nowMs: number): void {
  if (startMs > nowMs) throw badField('startMs', 'startMs is in the future; a wash that is done has begun.');
}
