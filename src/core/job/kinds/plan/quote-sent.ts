import { demand } from '../../../refusal';
import { Line } from '../../../schema/words';
import { kind } from '../kind';

/** The quote went out. */
export const quoteSent = kind({
  type: 'quote.sent',
  payload: { to: Line, how: Line },
  admit: 'always',
  apply(state, { to, how }, { at, by }) {
    const { quote } = state;
    demand(quote, 'make the quote first');
    demand(to.trim() !== '', 'say to whom it went', '/to');
    return {
      ...state,
      quote: { ...quote, sent: [...quote.sent, { to: to.trim(), how: how.trim(), at, by }] },
    };
  },
  says: ({ to, how }) => `Quote sent to ${[to.trim(), how.trim()].filter(Boolean).join(', ')}`,
  reports: ({ to, how }, _state, { at }) => [
    {
      under: 'Planned',
      at,
      text: `Quote sent to ${to.trim()}`,
      ...(how.trim() ? { result: how.trim() } : {}),
    },
  ],
  whileParked: 'taken',
});
