/** SQLite binds some thousand values at most in one statement: rows go in by so many. */
const ROWS_PER_INSERT = 300;

/** Rows in the portions in which they are inserted. */
export const inChunks = <T>(rows: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(rows.length / ROWS_PER_INSERT) }, (_, i) =>
    rows.slice(i * ROWS_PER_INSERT, (i + 1) * ROWS_PER_INSERT),
  );
