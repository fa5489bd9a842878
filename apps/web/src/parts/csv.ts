import Papa from 'papaparse';

/** So that a spreadsheet reads the letters as they are meant. */
const BYTE_ORDER_MARK = '\uFEFF';

/**
 * Rows as a CSV file with their heads, ready for a spreadsheet.
 *
 * @param head with the unit in each head that has one
 * @param rows text and numbers; text that a spreadsheet would take for a formula is marked as text
 */
export const csvText = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  BYTE_ORDER_MARK +
  Papa.unparse(
    { fields: [...head], data: rows.map((row) => [...row]) },
    { escapeFormulae: true, newline: '\r\n' },
  );
