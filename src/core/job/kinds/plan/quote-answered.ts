import { demand } from '../../../refusal';
import { Line, Type } from '../../../schema/words';
import { kind } from '../kind';

/** The owner accepts one way of the quote, or refuses it. */
export const quoteAnswered = kind({
  type: 'quote.answered',
  payload: {
    /** the way that was chosen; null where it was refused */
    line: Type.Union([Type.Integer({ minimum: 0, maximum: 11 }), Type.Null()]),
    who: Line,
    note: Type.Optional(Line),
  },
  admit(state, { line }, { at }) {
    const { quote } = state;
    demand(
      line === null || !quote || at.slice(0, 10) <= quote.validUntil,
      `it held until ${quote?.validUntil}: make it anew`,
      '/line',
    );
  },
  apply(state, { line, who, note }, { at, by }) {
    const { quote } = state;
    demand(quote, 'make the quote first');
    demand(who.trim() !== '', 'say who answered', '/who');
    demand(line === null || quote.lines[line], 'that way is not in the quote', '/line');
    const answer = { line, who: who.trim(), ...(note?.trim() ? { note: note.trim() } : {}), at, by };
    return { ...state, quote: { ...quote, answer } };
  },
  says: ({ line, who }, state) =>
    line === null
      ? `Quote refused by ${who}`
      : `Quote accepted by ${who}: ${state.quote?.lines[line]?.what ?? ''}`,
  reports: ({ line, who, note }, state, { at }) => [
    {
      under: 'Planned',
      at,
      text: line === null ? 'Quote refused' : `Quote accepted: ${state.quote?.lines[line]?.what ?? ''}`,
      result: [who.trim(), note?.trim()].filter(Boolean).join(', '),
    },
  ],
  whileParked: 'taken',
});
