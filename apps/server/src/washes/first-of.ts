/** The one outcome of a single change. @throws Error where there is none, which no caller can mend */
export function firstOf<T>([first]: readonly T[]): T {
  if (first === undefined) throw new Error('a change without an outcome');
  return first;
}
