import { type Drive, type LineFault, type RoadClass, startOfHourMs, trackDrives } from '@keen/core';
import { answering } from '../imports/beside.js';
import { readGpx } from '../imports/read-gpx.js';

interface TrackJob {
  readonly text: string;
  /** null: by speed. */
  readonly roadClass: RoadClass | null;
}

/** A drive, and the line of the file on which its hour begins. */
interface FoundDrive {
  readonly drive: Drive;
  readonly line: number;
}

const run = answering(({ text, roadClass }: TrackJob): { drives: FoundDrive[]; faults: LineFault[] } => {
  const points = readGpx(text);
  const { drives, faults } = trackDrives(points, roadClass);
  const firstLines = new Map<number, number>();
  for (const { atMs, line } of points) {
    const hourMs = atMs === null ? null : startOfHourMs(atMs);
    if (hourMs !== null && !firstLines.has(hourMs)) firstLines.set(hourMs, line);
  }
  return {
    drives: drives.map((drive) => ({ drive, line: firstLines.get(drive.hourMs) ?? 0 })),
    faults: faults.map(({ line, code, message }) => ({ line, field: code, message })),
  };
});
export default run;
