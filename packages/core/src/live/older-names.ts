/** Names that runs had for what has another one now. */
const OLD_NAMES: Readonly<Record<string, string>> = {
  inHandShare: 'inHandFraction',
  blowerLeavesShare: 'blowerLeavesFraction',
  tolerableBlockedShare: 'tolerableBlockedFraction',
  filmShare: 'filmFraction',
  handsId: 'workerId',
};
const OLD_DWELL_NAMES: Readonly<Record<string, string>> = {
  from: 'minMinutes',
  to: 'maxMinutes',
  fromMinutes: 'minMinutes',
  toMinutes: 'maxMinutes',
};

function renamed(value: unknown, within: string): unknown {
  if (Array.isArray(value)) return value.map((one) => renamed(one, within));
  if (typeof value !== 'object' || value === null) return value;
  const names = within === 'dwell' ? OLD_DWELL_NAMES : OLD_NAMES;
  return Object.fromEntries(
    Object.entries(value).map(([name, inner]) => [names[name] ?? name, renamed(inner, name)]),
  );
}

/** A run, or its pack, under today's names: what an earlier version of the program made is still on phones and in databases. */
export const underTodaysNames = <T>(kept: T): T => renamed(kept, '') as T;
