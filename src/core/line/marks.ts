import { called, type Named } from './names';
import type { Word } from './piece';
import { plainOf } from './tokens';

/** Letters before the number of a mark. */
const MARKED = /^([a-z]{1,4})\d{1,4}$/;
const JOINS = /^(?:and|&|\+|,|;)$/;
/** What may follow a number that is the rest of a mark: nothing that it counts. */
const ENDS = /^(?:and|&|\+|,|;|>|\(|off|out|from|unplugged|disconnected|pulled|removed|aside|then|with)$/;

/** More of them than these is no row of plugs. */
const MOST = 40;

/** Marks from one to another: "J1 through J14"; null where it is no such row. */
function row(from: string, to: string): string[] | null {
  const [a, b] = [from, to].map((m) => /^([a-z]{1,4})(\d{1,4})$/i.exec(m));
  const [first, last] = [Number(a?.[2]), Number(b?.[2])];
  const same = a && b && a[1]?.toLowerCase() === b[1]?.toLowerCase();
  if (!same || last <= first || last - first >= MOST) return null;
  return Array.from({ length: last - first + 1 }, (_, k) => `${a[1]}${first + k}`);
}

/** What may go by both its ends: "lead J3/J7". */
const LEADS = /^(?:leads?|cables?|flex|ribbons?|harness|wires?)$/;

/** Marks with a stroke between: "CN7/CN8", "CN7/8"; null where it is no such row. */
function slashed(word: string): string[] | null {
  const [first = '', ...more] = word.split('/');
  const letters = /^([a-z]{1,4})\d{1,4}$/i.exec(first)?.[1];
  const same =
    letters && more.length > 0 && more.every((m) => /^\d{1,4}$/.test(m) || MARKED.test(m.toLowerCase()));
  return same ? [first, ...more.map((m) => (/^\d/.test(m) ? `${letters}${m}` : m))] : null;
}

/** The words that stand for each of several marks, parted by commas, in the place of those that said so. */
function each(
  marks: readonly string[],
  { from, to }: { from: number; to: number },
  names: readonly Named[],
): Word[] {
  return marks.flatMap((meant, i): Word[] => {
    const named = called(meant, names);
    const word = { type: 'word', text: plainOf(meant), from, to, meant };
    const own = named ? { ...word, found: { named, from, to } } : word;
    return i === 0 ? [own] : [{ type: 'comma', text: ',', from, to }, own];
  });
}

/**
 * Marks that share their letters: "J7 and 8" is J7 and J8, "J1 through J3" is J1, J2 and J3, "J7 J8" are two.
 *
 * @param words of a line, names made whole
 * @param text the line
 * @param names what has a name
 * @returns the words, with each mark that is meant a word of its own
 * @example withMarks(words, 'J7 and 8 off', [])[2].meant // 'J8'
 */
export function withMarks(words: readonly Word[], text: string, names: readonly Named[]): Word[] {
  const out: Word[] = [];
  const written = (w: Word | undefined) => (w ? (w.meant ?? text.slice(w.from, w.to)) : '');
  for (const [i, w] of words.entries()) {
    const parts =
      w.type === 'word' && !w.found && !LEADS.test(out.at(-1)?.text ?? '') ? slashed(written(w)) : null;
    if (parts) {
      out.push(...each(parts, w, names));
      continue;
    }
    const [mark, joint] = [out.at(-2), out.at(-1)];
    const next = words[i + 1];
    const ends = next === undefined || (!next.found && ENDS.test(next.text));
    const isJoint = joint !== undefined && !joint.found;
    const letters = mark?.type === 'word' ? MARKED.exec(written(mark).toLowerCase())?.[1] : undefined;
    // "J3 to J7" and "J3-J7" are how a lead is called that runs there.
    const span = isJoint && /^(?:through|thru)$/.test(joint.text) ? row(written(mark), written(w)) : null;
    if (span) out.splice(-2, 2, ...each(span, { from: mark?.from ?? w.from, to: w.to }, names));
    else if (
      letters &&
      isJoint &&
      JOINS.test(joint.text) &&
      w.type === 'number' &&
      /^\d{1,4}$/.test(w.text) &&
      ends
    )
      out.push(...each([`${written(mark).slice(0, letters.length)}${w.text}`], w, names));
    else {
      // "CN501 CN502 CN503"
      const alike = joint?.type === 'word' && w.type === 'word';
      const of = (m: Word) => MARKED.exec(written(m).toLowerCase())?.[1];
      if (alike && of(joint) !== undefined && of(joint) === of(w))
        out.push({ type: 'comma', text: ',', from: joint.to, to: w.from });
      out.push(w);
    }
  }
  return out;
}
