import type { JobEvent } from '../../job';
import { demand, Refusal } from '../../refusal';
import { closed, Type } from '../../schema/words';
import { drawing } from '../draw';
import { exercise } from '../exercise';
import { heldAt, type RehearsedLine, rehearse } from '../rehearsal';

export interface MissingQuestion {
  start: JobEvent[];
  /** as somebody wrote them down, one thing left out or out of place */
  lines: { words: string; event: JobEvent }[];
  /** what was done to the list */
  changed: 'left out' | 'out of place';
  what: RehearsedLine;
}

/** The list without one line, or with it two places later. */
function spoilt(lines: RehearsedLine[], i: number, changed: MissingQuestion['changed']): RehearsedLine[] {
  const rest = lines.filter((_, k) => k !== i);
  if (changed === 'left out') return rest;
  return [...rest.slice(0, i + 2), lines[i] as RehearsedLine, ...rest.slice(i + 2)];
}

/** Kinds of lines that are left out: what is easily forgotten. */
const FORGOTTEN: RehearsedLine['part'][] = ['gate', 'back', 'proof'];

/** A job written down with exactly one thing missing: point to where it cannot go on. */
export const missing = exercise({
  id: 'what is missing',
  asks: 'One thing is left out or out of place: point to the line where the job cannot go on.',
  minutes: 2,
  skills: ['gates before the first cover', 'everything home before a close'],
  make(map, seed): MissingQuestion {
    const { start, lines } = rehearse(map, seed);
    const draw = drawing(seed, 'what is missing');
    const part = draw.pick(FORGOTTEN);
    const candidates = draw.shuffled(
      lines.map((l, i) => ({ l, i })).filter(({ l }) => FORGOTTEN.includes(l.part)),
    );
    // Those of the drawn part first, so that every part has its turn.
    candidates.sort((a, b) => Number(b.l.part === part) - Number(a.l.part === part));
    const changed = draw.chance(0.7) ? 'left out' : 'out of place';
    for (const how of [changed, 'left out'] as const)
      for (const { l, i } of candidates) {
        const list = spoilt(lines, i, how);
        const held = heldAt(
          start,
          list.map((x) => x.event),
        );
        if (held)
          return { start, lines: list.map(({ words, event }) => ({ words, event })), changed: how, what: l };
      }
    throw new Refusal(
      `nothing can be forgotten on ${map.name}: it has no gate, and nothing to prove`,
      '/unit',
    );
  },
  practises: ({ what }) => [
    what.part === 'gate' ? 'gates before the first cover' : 'everything home before a close',
  ],
  answer: closed({ place: Type.Integer({ minimum: 0, maximum: 1000 }) }),
  judge({ start, lines, changed, what }, { place }: { place: number }) {
    demand(place < lines.length, `there is no line ${place + 1}`, '/place');
    const held = heldAt(
      start,
      lines.map((l) => l.event),
    );
    const true_ = held?.place ?? 0;
    const right = place === true_;
    return {
      score: right ? 1 : 0,
      remember:
        what.part === 'gate'
          ? 'A gate that is not cleared holds the first hand that reaches in.'
          : 'A cover closes for good only over what is home, tight and proven.',
      lines: [
        {
          text: `${true_ + 1}. ${lines[true_]?.words}`,
          right,
          why: `${held?.why}. ${changed === 'left out' ? 'Left out' : 'Out of place'}: ${what.words}`,
        },
        ...(right
          ? []
          : [
              {
                text: `You pointed to ${place + 1}. ${lines[place]?.words}`,
                right: false,
                why: 'up to there it goes on',
              },
            ]),
      ],
    };
  },
});
