import type { ModelData, ObjectiveSense } from 'highs';
import type { Compiled } from './compiled.js';

/** An integer programme, and which option each of its first columns stands for. */
export interface ProgramModel {
  readonly data: ModelData;
  /** Compiled option of column 0, 1, …; the columns after them are ways that crews go. */
  readonly options: readonly number[];
  /** Crews go as flows, with ways of their own; otherwise options alone shut each other out. */
  readonly hasFlows: boolean;
}

const MAXIMIZE = -1 as ObjectiveSense;

/** Gathers columns and rows; a row is made when it is first named. */
class Matrix {
  readonly cost: number[] = [];
  readonly rowLower: number[] = [];
  readonly rowUpper: number[] = [];
  private readonly starts: number[] = [0];
  private readonly indices: number[] = [];
  private readonly values: number[] = [];
  private readonly rows = new Map<string, number>();

  row(key: string, lower: number, upper: number): number {
    const known = this.rows.get(key);
    if (known !== undefined) return known;
    const row = this.rowLower.length;
    this.rows.set(key, row);
    this.rowLower.push(lower);
    this.rowUpper.push(upper);
    return row;
  }

  column(cost: number, entries: readonly (readonly [row: number, value: number])[]): void {
    this.cost.push(cost);
    for (const [row, value] of entries) {
      this.indices.push(row);
      this.values.push(value);
    }
    this.starts.push(this.indices.length);
  }

  data(binaryCount: number): ModelData {
    const numCols = this.cost.length;
    const numRows = this.rowLower.length;
    return {
      numCols,
      numRows,
      sense: MAXIMIZE,
      colCost: this.cost,
      colLower: new Float64Array(numCols),
      colUpper: new Float64Array(numCols).fill(1),
      rowLower: this.rowLower,
      rowUpper: this.rowUpper,
      matrix: {
        format: 'csc',
        numRows,
        numCols,
        starts: Int32Array.from(this.starts),
        indices: Int32Array.from(this.indices),
        values: Float64Array.from(this.values),
      },
      integrality: Int32Array.from({ length: numCols }, (_, column) => (column < binaryCount ? 1 : 0)),
    };
  }
}

/** Slots at which some option of a crew begins at a place; elsewhere nobody needs to be told where the crew is. */
class Stations {
  private readonly slots = new Map<string, number[]>();

  constructor(compiled: Compiled, options: readonly number[]) {
    for (const i of options) {
      if (compiled.crew[i]! < 0) continue;
      const key = `${compiled.crew[i]} ${compiled.place[i]}`;
      const slots = this.slots.get(key) ?? [];
      if (slots.at(-1) !== compiled.start[i]) slots.push(compiled.start[i]!);
      this.slots.set(key, slots);
    }
  }

  of(crew: number, place: number): readonly number[] {
    return this.slots.get(`${crew} ${place}`) ?? [];
  }

  /** The first station at or after a slot. */
  next(crew: number, place: number, slot: number): number | null {
    return this.of(crew, place).find((station) => station >= slot) ?? null;
  }
}

type Row = readonly [row: number, value: number];

/** How a crew's options shut each other out, as rows: entries for the options, and ways of its own where there are any. */
interface CrewRows {
  readonly entriesOf: (option: number) => Row[];
  readonly addWays: () => void;
}

/**
 * Crews as units of flow through stations of place and time, in by the options that they do and the ways between them. Left to itself the
 * flow is whole, so that the relaxation is tight.
 */
function flowRows(compiled: Compiled, options: readonly number[], matrix: Matrix): CrewRows {
  const { crew, place, start, wayOut, arrival, placeCount, crewCount } = compiled;
  const stations = new Stations(compiled, options);
  const station = (k: number, at: number, slot: number): number => matrix.row(`at ${k} ${at} ${slot}`, 0, 0);
  const leaving = (k: number, out: number): number => matrix.row(`out ${k} ${out}`, 0, 0);
  const outs = new Map<string, readonly [crew: number, out: number]>();
  const addWaits = (k: number, at: number): void => {
    const slots = stations.of(k, at);
    slots.forEach((slot, n) => {
      const later = slots[n + 1];
      const begins = matrix.row(`begin ${k}`, -Infinity, 1);
      if (n === 0) matrix.column(0, [[begins, 1], [station(k, at, slot), 1]]); // oxfmt-ignore
      const next: Row[] = later === undefined ? [] : [[station(k, at, later), 1]];
      matrix.column(0, [[station(k, at, slot), -1], ...next]);
    });
  };
  return {
    entriesOf: (i) => {
      outs.set(`${crew[i]} ${wayOut[i]}`, [crew[i]!, wayOut[i]!]);
      return [
        [station(crew[i]!, place[i]!, start[i]!), -1],
        [leaving(crew[i]!, wayOut[i]!), 1],
      ];
    },
    addWays: () => {
      for (let k = 0; k < crewCount; k += 1) for (let at = 0; at < placeCount; at += 1) addWaits(k, at);
      for (const [k, out] of outs.values()) {
        for (let to = 0; to < placeCount; to += 1) {
          const slot = stations.next(k, to, arrival[out * placeCount + to]!);
          if (slot !== null) matrix.column(0, [[leaving(k, out), -1], [station(k, to, slot), 1]]); // oxfmt-ignore
        }
        matrix.column(0, [[leaving(k, out), -1]]);
      }
    },
  };
}

/**
 * Where every way leads past home, travel is the sum of a way back and a way there, and an option simply takes its crew's time from setting
 * out to being back: at every moment at most one. Rows of intervals are whole by themselves, and far fewer than those of a flow.
 *
 * @returns null where travel is no such sum
 */
function intervalRows(compiled: Compiled, options: readonly number[], matrix: Matrix): CrewRows | null {
  const { travelMinutes, crew, place, start, endMinute, slotMinutes } = compiled;
  const there = travelMinutes[0] ?? [];
  const back = travelMinutes.map((row) => (row[0] ?? 0) - (there[0] ?? 0));
  const isSum = travelMinutes.every((row, from) =>
    row.every((minutes, to) => Math.abs(minutes - back[from]! - there[to]!) < 1e-9),
  );
  if (!isSum) return null;
  const leaves = (i: number): number => start[i]! * slotMinutes - there[place[i]!]!;
  const returns = (i: number): number => endMinute[i]! + back[place[i]!]!;
  const moments = new Map<number, number[]>();
  for (const i of options) {
    if (crew[i]! < 0) continue;
    moments.set(crew[i]!, [...(moments.get(crew[i]!) ?? []), leaves(i)]);
  }
  const sorted = new Map(
    [...moments].map(([k, times]) => [k, [...new Set(times)].sort((a, b) => a - b)] as const),
  );
  return {
    entriesOf: (i) =>
      (sorted.get(crew[i]!) ?? [])
        .filter((moment) => leaves(i) <= moment && moment < returns(i))
        .map((moment): Row => [matrix.row(`busy ${crew[i]} ${moment}`, -Infinity, 1), 1]),
    addWays: () => undefined,
  };
}

/**
 * The schedule as an integer programme: options are chosen or not, each job once, no more at a place than it has room for, no more of a
 * stock than there is, and each crew doing one thing at a time.
 *
 * @param options compiled options that may be chosen, by start
 */
export function programModel(compiled: Compiled, options: readonly number[]): ProgramModel {
  const { crew, place, start, endSlot, job, stock, value, isTight, capacity, stockLeft, slotCount } =
    compiled;
  const matrix = new Matrix();
  const intervals = intervalRows(compiled, options, matrix);
  const crews = intervals ?? flowRows(compiled, options, matrix);
  for (const i of options) {
    const entries: Row[] = [[matrix.row(`job ${job[i]}`, -Infinity, 1), 1]];
    if (crew[i]! >= 0) entries.push(...crews.entriesOf(i));
    for (let slot = start[i]!; slot < endSlot[i]!; slot += 1) {
      const cell = place[i]! * slotCount + slot;
      if (isTight[cell]) entries.push([matrix.row(`room ${cell}`, -Infinity, capacity[cell]!), 1]);
    }
    if (stock[i]! >= 0) entries.push([matrix.row(`stock ${stock[i]}`, -Infinity, stockLeft[stock[i]!]!), 1]);
    matrix.column(value[i]!, entries);
  }
  crews.addWays();
  return { data: matrix.data(options.length), options, hasFlows: !intervals };
}
