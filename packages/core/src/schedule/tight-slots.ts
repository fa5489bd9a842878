/** Options laid flat, one entry each, as `Compiled` has them. */
interface Taken {
  readonly start: Int32Array;
  readonly endSlot: Int32Array;
  readonly crew: Int32Array;
  readonly place: Int32Array;
  readonly crewCount: number;
}

/** A crew is in one place at a time, so capacity can only bind where more could come than there is room for. */
export function tightSlots(
  { start, endSlot, crew, place, crewCount }: Taken,
  capacity: Int32Array,
  slotCount: number,
): Uint8Array {
  const comers = new Int32Array(capacity.length);
  const hasCome = new Uint8Array(capacity.length * crewCount);
  start.forEach((from, i) => {
    const at = place[i]! * slotCount;
    for (let cell = at + from; cell < at + endSlot[i]!; cell += 1) {
      if (crew[i]! >= 0) {
        const mark = cell * crewCount + crew[i]!;
        if (hasCome[mark]) continue;
        hasCome[mark] = 1;
      }
      comers[cell]! += 1;
    }
  });
  return Uint8Array.from(capacity, (room, cell) => (comers[cell]! > room ? 1 : 0));
}
