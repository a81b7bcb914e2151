import { Refusal } from '../refusal';
import { readAs } from '../unit';

/** One table: a row per thing, cells as text under their headings. */
export type Table = Record<string, string>[];

/** A list of names as one cell, and back. */
export const listText = (ids: string[] | undefined): string => ids?.join(' | ') ?? '';
export const listIn = (text: string, by: RegExp | string = '|'): string[] =>
  text
    .split(by)
    .map((x) => x.trim())
    .filter(Boolean);
export const yes = (flag: boolean | undefined): string => (flag ? 'yes' : '');

/** One row being read: its cells by heading, whatever their case, and a way to say where it is wrong. */
export class Row {
  private readonly folded: Record<string, string>;
  constructor(
    /** as it is told: `elements.csv` */
    private readonly called: string,
    private readonly table: string,
    readonly number: number,
    private readonly cells: Record<string, string>,
  ) {
    this.folded = Object.fromEntries(Object.entries(cells).map(([k, v]) => [k.trim().toLowerCase(), v]));
  }
  text(column: string): string {
    return (this.folded[column.toLowerCase()] ?? '').trim();
  }
  wrong(reason: string): Refusal {
    return new Refusal(`${this.called}, row ${this.number}: ${reason}`, `/${this.table}/${this.number}`);
  }
  must(column: string): string {
    const t = this.text(column);
    if (!t) throw this.wrong(`${column} is empty`);
    return t;
  }
  /** a reading in the unit of the row */
  reading(column: string, otherwise?: number): number {
    const t = this.text(column);
    if (!t && otherwise !== undefined) return otherwise;
    try {
      return readAs(t, this.text('unit')).value;
    } catch (error) {
      throw this.wrong(`${column}: ${error instanceof Refusal ? error.message : String(error)}`);
    }
  }
  /** a plain figure */
  figure(column: string, otherwise?: number): number {
    const t = this.text(column);
    if (!t && otherwise !== undefined) return otherwise;
    const n = Number(t.replace(',', '.'));
    if (!t || !Number.isFinite(n)) throw this.wrong(`${column} “${t}” is not a number`);
    return n;
  }
  one<T extends string>(column: string, words: readonly T[], otherwise?: T): T {
    const t = this.text(column).toLowerCase();
    if (!t && otherwise !== undefined) return otherwise;
    const found = words.find((w) => w === t);
    if (!found) throw this.wrong(`${column} “${t}” is none of ${words.join(', ')}`);
    return found;
  }
  flag(column: string): boolean {
    return /^(y|yes|true|1|x)$/i.test(this.text(column));
  }
  list(column: string, by: RegExp | string = '|'): string[] {
    return listIn(this.text(column), by);
  }
  /** cells under headings that are not known */
  unknown(columns: readonly string[]): Record<string, string> {
    const known = new Set(columns.map((c) => c.toLowerCase()));
    return Object.fromEntries(
      Object.entries(this.cells).filter(
        ([k, v]) => k.trim() && !known.has(k.trim().toLowerCase()) && v.trim(),
      ),
    );
  }
}
