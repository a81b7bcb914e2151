import type { Named } from './names';
import type { Word } from './piece';
import { plainOf } from './tokens';

/** Letters before the number of a mark. */
const MARKED = /^([a-z]{1,4})\d{1,4}$/;
const JOINS = /^(?:and|&|\+|,|;)$/;
/** What may follow a number that is the rest of a mark: nothing that it counts. */
const ENDS = /^(?:and|&|\+|,|;|>|\(|off|out|from|unplugged|disconnected|pulled|removed|aside|then|with)$/;

/**
 * Marks that share their letters: "J7 and 8" is J7 and J8.
 *
 * @param words of a line, names made whole
 * @param text the line
 * @param names what has a name
 * @returns the words, with the numbers that stand for a mark made one
 * @example withMarks(words, 'J7 and 8 off', [])[2].meant // 'J8'
 */
export function withMarks(words: readonly Word[], text: string, names: readonly Named[]): Word[] {
  const out: Word[] = [];
  for (const [i, w] of words.entries()) {
    const next = words[i + 1];
    const [mark, joint] = [out.at(-2), out.at(-1)];
    const ends = next === undefined || (!next.found && ENDS.test(next.text));
    const letters =
      mark && /^word$/.test(mark.type) ? MARKED.exec(mark.meant?.toLowerCase() ?? mark.text)?.[1] : undefined;
    if (
      !letters ||
      !joint ||
      joint.found ||
      !JOINS.test(joint.text) ||
      w.type !== 'number' ||
      !/^\d{1,4}$/.test(w.text) ||
      !ends
    ) {
      out.push(w);
      continue;
    }
    const written = mark?.meant ?? text.slice(mark?.from, mark?.to);
    const meant = `${written.slice(0, letters.length)}${w.text}`;
    const named = names.find((n) =>
      [n.name, n.id, ...(n.aliases ?? [])].some((c) => plainOf(c) === plainOf(meant)),
    );
    out.push({
      ...w,
      type: 'word',
      text: plainOf(meant),
      meant,
      ...(named ? { found: { named, from: w.from, to: w.to } } : {}),
    });
  }
  return out;
}
