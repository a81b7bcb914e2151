import {
  coverOf,
  EMPTY_LEDGER,
  giveBack,
  JOURNEYS,
  type Ledger,
  owed,
  readLine,
  specOf,
  take,
} from '../../ledger';
import { order } from '../../order';
import { FLIP_MINUTES, minutesOf, TOOL_MINUTES } from '../../recipe';
import { demand } from '../../refusal';
import { closed, Name, Type } from '../../schema/words';
import { drawing } from '../draw';
import { exercise, type JudgedLine } from '../exercise';
import { type TearDownMove, tearDown } from '../tear-down';

export interface WayBackQuestion {
  access: { id: string; name: string }[];
  /** in the order in which they came off */
  moves: TearDownMove[];
  /** as they lie before the one who answers */
  laid: string[];
}

/** The tray after the tear-down; a thing goes by the id of the move that took it off. */
function tray({ access, moves }: Pick<WayBackQuestion, 'access' | 'moves'>): Ledger {
  return moves.reduce((ledger, m) => {
    const said = readLine(m.text).moves[0];
    if (!said?.item) return ledger;
    const cover = said.item.kind === 'part' ? coverOf(said.item.name, access) : undefined;
    // What was not counted while opening is counted before it goes back.
    const item = { ...said.item, count: said.item.count ?? 1 };
    return take(
      ledger,
      { ...said, item, ...(cover ? { cover } : {}) },
      { id: m.id, at: '2026-01-05T09:00:00.000Z' },
    );
  }, EMPTY_LEDGER);
}

/** What each move home would shut in, by the tray of real jobs. */
function shutIn(
  question: Pick<WayBackQuestion, 'access' | 'moves'>,
  sequence: string[],
): Map<string, string[]> {
  let ledger = tray(question);
  const over = new Map<string, string[]>();
  for (const id of sequence) {
    const item = ledger.items.find((i) => i.id === id);
    if (!item) continue;
    if (item.cover) {
      const left = ledger.items.filter((i) => i.inside.includes(item.cover as string) && owed(i));
      // What is back but not proven yet is no fault of the order.
      const off = left.filter((i) => (i.by.off ?? 0) > 0);
      if (off.length) over.set(id, off.map(specOf));
    }
    ledger = giveBack(ledger, id, item.count ?? 1, JOURNEYS[item.kind].back);
  }
  return over;
}

/** The moves of a tear-down, laid in the order of the way back. */
export const wayBackOrder = exercise({
  id: 'way back',
  asks: 'Lay the moves of this tear-down in the order of the way back.',
  minutes: 4,
  skills: ['order of the way back', 'everything home before a close'],
  make(map, seed): WayBackQuestion {
    const moves = tearDown(map, seed);
    const access = map.access.map(({ id, name }) => ({ id, name }));
    // What the tray refuses is said now, before anybody lays it.
    shutIn({ access, moves }, moves.map((m) => m.id).reverse());
    return {
      access,
      moves,
      laid: drawing(seed, 'way back').shuffled(moves.map((m) => m.id)),
    };
  },
  practises: () => ['order of the way back', 'everything home before a close'],
  answer: closed({ order: Type.Array(Name, { maxItems: 300 }) }),
  judge(question, { order: sequence }: { order: string[] }) {
    const byId = new Map(question.moves.map((m) => [m.id, m]));
    for (const [i, id] of sequence.entries()) {
      demand(byId.has(id), `“${id}” is no move of this tear-down`, `/order/${i}`);
      demand(sequence.indexOf(id) === i, `“${byId.get(id)?.text}” is laid twice`, `/order/${i}`);
    }
    demand(
      sequence.length === question.moves.length,
      `${question.moves.length - sequence.length} of ${question.moves.length} moves are not laid yet`,
      '/order',
    );
    const last = question.moves.at(-1);
    const start = { tool: last?.tool ?? null, sideUp: last?.sideUp ?? null };
    const mine = minutesOf(
      sequence.map((id) => byId.get(id) as TearDownMove),
      start,
    );
    const best = order({
      moves: question.moves.map((m) => ({
        id: m.id,
        minutes: m.minutes,
        tool: m.tool,
        sideUp: m.sideUp,
        after: question.moves.filter((x) => x.after.includes(m.id)).map((x) => x.id),
      })),
      goal: question.moves.map((m) => m.id),
      start,
      toolMinutes: TOOL_MINUTES,
      flipMinutes: FLIP_MINUTES,
    });
    const over = shutIn(question, sequence);
    const place = new Map(sequence.map((id, i) => [id, i]));
    const early = question.moves.flatMap((m) =>
      m.after
        .filter((a) => (place.get(a) as number) < (place.get(m.id) as number))
        .map((a) => ({ early: a, late: m.id })),
    );
    const faults = new Set(early.map((e) => e.early)).size;
    const lost = Math.max(0, mine - best.minutes);
    const lines = sequence.map((id): JudgedLine => {
      const shut = over.get(id);
      const before = early.filter((e) => e.early === id).map((e) => byId.get(e.late)?.text);
      return {
        text: `back: ${byId.get(id)?.text}`,
        right: !shut && before.length === 0,
        why: shut
          ? `would close over ${shut.join(', ')}`
          : before.length
            ? `too early: ${before.join(', ')} came off after it and goes on before it`
            : 'in its place',
      };
    });
    return {
      score: faults ? 0.5 / faults : best.minutes / (best.minutes + lost),
      remember: over.size
        ? 'Before a cover goes on: look into the tray, is anything that lay under it still there?'
        : faults
          ? 'Last off, first on: what came off after it goes on before it.'
          : lost > 0.05
            ? `It goes together, ${lost.toFixed(1)} minutes longer than it has to: do with a tool all that can be done with it.`
            : 'Last off, first on, and each tool picked up as seldom as can be.',
      lines,
    };
  },
});
