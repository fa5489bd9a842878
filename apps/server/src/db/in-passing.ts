/** What the driver and its causes say of a fault. */
export function faultText(error: unknown): string {
  const parts: string[] = [];
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    parts.push(at.message);
    if ('code' in at && typeof at.code === 'string') parts.push(at.code);
  }
  return parts.join(' ');
}

const NO_ROOM = /SQLITE_FULL|ENOSPC/;

/** Was it for want of room on the disk? */
export const isNoRoom = (error: unknown): boolean => NO_ROOM.test(faultText(error));

/**
 * A write that nobody asked for, made in passing while something is read: what was fetched, when somebody was last seen. A full disk takes
 * writing away, never reading: then what is read comes without it.
 *
 * @returns whether it was written
 */
export async function inPassing(write: () => Promise<unknown>): Promise<boolean> {
  try {
    await write();
    return true;
  } catch (error) {
    if (isNoRoom(error)) return false;
    throw error;
  }
}
