import type { Row } from './row';

/**
 * What one property of a thing is in a table: the column or columns it takes, how it is written there and
 * how it is read back. A new column is one entry in the list of its table.
 *
 * `B` is what a row is read against: the thing as it was, or the map it belongs to.
 */
export interface Field<T, B> {
  columns: Record<string, (thing: T) => string>;
  read(row: Row, base: B): Partial<T>;
}

/** Headings of a table, in their order. */
export const headings = <T, B>(fields: Field<T, B>[]): string[] =>
  fields.flatMap((f) => Object.keys(f.columns));

/** A thing as a row of text. */
export const written = <T, B>(fields: Field<T, B>[], thing: T): Record<string, string> =>
  Object.fromEntries(
    fields.flatMap((f) => Object.entries(f.columns).map(([name, write]) => [name, write(thing)] as const)),
  );

/**
 * A thing from a row: every field reads its part, later ones over earlier ones.
 *
 * @throws Refusal naming table, row and column
 */
export const readBack = <T, B>(fields: Field<T, B>[], row: Row, base: B): T =>
  Object.assign({}, ...fields.map((f) => f.read(row, base))) as T;

/** A property that is left out where there is nothing to say. */
export const maybe = <K extends string, V>(key: K, value: V, there: boolean): { [P in K]?: V } =>
  (there ? { [key]: value } : {}) as { [P in K]?: V };

/** A list of names under its own heading. */
export const names = <T, B>(key: keyof T & string): Field<T, B> => ({
  columns: { [key]: (thing) => ((thing[key] as string[] | undefined) ?? []).join(' | ') },
  read: (row) => {
    const list = row.list(key);
    return (list.length ? { [key]: list } : {}) as Partial<T>;
  },
});

/** A line of text that may be empty, under its own heading. */
export const words = <T, B>(key: keyof T & string): Field<T, B> => ({
  columns: { [key]: (thing) => (thing[key] as string | undefined) ?? '' },
  read: (row) => (row.text(key) ? { [key]: row.text(key) } : {}) as Partial<T>,
});

/** Yes or nothing, under its own heading. */
export const flag = <T, B>(key: keyof T & string): Field<T, B> => ({
  columns: { [key]: (thing) => (thing[key] ? 'yes' : '') },
  read: (row) => (row.flag(key) ? { [key]: true } : {}) as Partial<T>,
});
