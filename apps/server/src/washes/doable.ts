import { badField } from '../errors/api-error.js';
import type { DoneWashDto } from './wash.dto.js';

/** A wash that was done has begun, and since the car is known. @throws 400 naming startMs */
export function requireDoable(
  { startMs }: Pick<DoneWashDto, 'startMs'>,
  { knownSinceMs }: { readonly knownSinceMs: number },
  nowMs: number,
): void {
  if (startMs > nowMs) throw badField('startMs', 'startMs is in the future; a wash that is done has begun.');
  if (startMs < knownSinceMs) throw badField('startMs', "startMs is before this vehicle's record begins.");
}
