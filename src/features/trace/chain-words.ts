/** Letters of a word as wide as a digit; signs of the scripts that fill a square count twice. */
const wide = (text: string) => [...text].reduce((n, c) => n + (c >= '⺀' ? 2 : 1), 0);

function cutTo(text: string, room: number): string {
  if (wide(text) <= room) return text;
  const kept: string[] = [];
  for (const c of text) {
    if (wide([...kept, c].join('')) > room - 1) break;
    kept.push(c);
  }
  return `${kept.join('').trimEnd()}…`;
}

/**
 * A name in so many lines of so much room, broken between words; what does not go in ends in a dot row.
 *
 * @param room letters to a line
 */
export function inLines(name: string, room: number, most: number): string[] {
  const lines: string[] = [];
  const words = name.trim().split(/\s+/);
  while (words.length && lines.length < most) {
    let line = words.shift() ?? '';
    while (words[0] !== undefined && wide(`${line} ${words[0]}`) <= room) line += ` ${words.shift()}`;
    if (lines.length === most - 1 && words.length) line = `${line} ${words.splice(0).join(' ')}`;
    lines.push(cutTo(line, room));
  }
  return lines;
}

export interface Placed {
  /** middle of the words */
  x: number;
  text: string;
  row: number;
}

const ROWS = 2;
const LEAST = 3;
/** Letters between two words of a row: one alone would read as one name. */
const APART = 2;

/**
 * Words above their marks, from left to right: each in the first row where it touches none before it, and inside
 * the drawing. What fits in none goes where most room is, and is cut to it.
 *
 * @param marks where each wants its middle, sorted
 * @param letter width of a letter
 * @param from left edge of the drawing
 * @param to right edge of the drawing
 */
export function overMarks(
  marks: readonly { x: number; text: string }[],
  letter: number,
  from: number,
  to: number,
): Placed[] {
  const ends = new Array<number>(ROWS).fill(from);
  return marks.map(({ x, text }, i) => {
    const width = wide(text) * letter;
    const left = Math.max(from, Math.min(x - width / 2, to - width));
    const free = ends.findIndex((end) => left >= end);
    const row = free < 0 ? ends.indexOf(Math.min(...ends)) : free;
    const start = free < 0 ? (ends[row] ?? from) : left;
    // As far as half way to the mark that comes next in this row.
    const after = marks[i + ROWS]?.x;
    const end = after === undefined ? to : Math.min(to, (x + after) / 2);
    const room = free < 0 ? end - start : to - start;
    const words = cutTo(text, Math.max(LEAST, Math.floor(room / letter)));
    const taken = wide(words) * letter;
    ends[row] = start + taken + APART * letter;
    return { x: start + taken / 2, text: words, row };
  });
}
