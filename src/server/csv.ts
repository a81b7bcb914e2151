import Papa from 'papaparse';

/** A cell that a table would take for a formula is written as words. */
export const plainCell = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/**
 * Rows as a table of comma-separated values (RFC 4180). Texts are never formulas.
 *
 * @param rows by column
 * @param columns their order
 */
export const csvOf = (rows: Record<string, string | number | null>[], columns: string[]): string =>
  Papa.unparse(
    rows.map((r) =>
      Object.fromEntries(
        columns.map((c) => {
          const v = r[c] ?? '';
          return [c, typeof v === 'string' ? plainCell(v) : v];
        }),
      ),
    ),
    { columns },
  );
