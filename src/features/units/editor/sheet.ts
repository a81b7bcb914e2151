import type { ComponentType } from 'react';
import { Refusal } from '../../../core/refusal';
import { parseReading, type UnitMap } from '../../../core/unit';

/** How a cell is filled in. */
export type CellKind = 'text' | 'mono' | 'number' | 'choice' | 'flag' | 'ids';

/** One column of a sheet: what stands in it, and what the map is after something else is typed. */
export interface Column {
  head: string;
  kind: CellKind;
  width?: number;
  read(map: UnitMap, row: number): string;
  /** @throws Refusal when what was typed cannot be read; nothing has changed then */
  write(map: UnitMap, row: number, typed: string): UnitMap;
  options?(map: UnitMap): { value: string; words: string }[];
  /** the cell means nothing for this row */
  idle?(map: UnitMap, row: number): boolean;
}

/** One list of the map as a table. */
export interface Sheet {
  /** name of the list in the map, and in the path of what is wrong */
  id:
    | 'elements'
    | 'feeds'
    | 'taps'
    | 'access'
    | 'functions'
    | 'hazards'
    | 'channels'
    | 'variants'
    | 'checks'
    | 'moves'
    | 'headers'
    | 'plugs'
    | 'faces'
    | 'powerDown'
    | 'parties';
  title: string;
  note: string;
  empty: string;
  columns: Column[];
  count(map: UnitMap): number;
  /** what a row is called, for those who hear rather than see */
  called(map: UnitMap, row: number): string;
  /** what cannot be said in a table, under it */
  below?: ComponentType<{ map: UnitMap; onChange(map: UnitMap, at: string): void }>;
  add(map: UnitMap): UnitMap;
  remove(map: UnitMap, row: number): UnitMap;
}

type ListKey = Sheet['id'];
type RowOf<K extends ListKey> = NonNullable<UnitMap[K]>[number];

export const listOf = <K extends ListKey>(map: UnitMap, key: K): RowOf<K>[] => (map[key] ?? []) as RowOf<K>[];

/** The map with one row of a list changed. */
export function withRow<K extends ListKey>(
  map: UnitMap,
  key: K,
  row: number,
  change: (r: RowOf<K>) => RowOf<K>,
): UnitMap {
  return { ...map, [key]: listOf(map, key).map((r, i) => (i === row ? change(r) : r)) };
}

export const withoutRow = (map: UnitMap, key: ListKey, row: number): UnitMap => ({
  ...map,
  [key]: listOf(map, key).filter((_, i) => i !== row),
});

/** A property put in, or left out when there is nothing in it. */
export function put<R extends object>(row: R, name: string, value: unknown): R {
  const { [name as keyof R]: _, ...rest } = row;
  const nothing =
    value === undefined || value === '' || value === false || (Array.isArray(value) && !value.length);
  return (nothing ? rest : { ...rest, [name]: value }) as R;
}

/** A number as typed, with prefix or comma. */
export function numberIn(typed: string, what: string): number {
  try {
    return parseReading(typed);
  } catch (error) {
    throw new Refusal(`${what}: ${error instanceof Refusal ? error.message : String(error)}`);
  }
}

export const idsIn = (typed: string): string[] => typed.split(/[\s,;]+/).filter(Boolean);
/** Names may hold blanks, so covers and variants are parted by commas. */
export const namesIn = (typed: string): string[] =>
  typed
    .split(/[,;|]/)
    .map((x) => x.trim())
    .filter(Boolean);

/** A column that is one text property of a row. */
export const text = <K extends ListKey>(
  key: K,
  name: string,
  head: string,
  more: Partial<Column> = {},
): Column => ({
  head,
  kind: 'text',
  read: (map, i) => String((listOf(map, key)[i] as Record<string, unknown> | undefined)?.[name] ?? ''),
  write: (map, i, typed) => withRow(map, key, i, (r) => ({ ...r, [name]: typed })),
  ...more,
});

/** A column that lists ids or names. */
export const names = <K extends ListKey>(
  key: K,
  name: string,
  head: string,
  read: (typed: string) => string[] = namesIn,
  more: Partial<Column> = {},
): Column => ({
  head,
  kind: 'ids',
  read: (map, i) => {
    const list = (listOf(map, key)[i] as Record<string, unknown> | undefined)?.[name] as string[] | undefined;
    return (list ?? []).join(read === namesIn ? ', ' : ' ');
  },
  write: (map, i, typed) => withRow(map, key, i, (r) => put(r, name, read(typed))),
  ...more,
});

export const onlyIn = <K extends ListKey>(key: K): Column =>
  names(key, 'only', 'Only in', namesIn, { width: 130 });
