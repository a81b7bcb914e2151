import { ALTERNATIVES, priceOf } from '../../../cost';
import { formatMoney } from '../../../money';
import { demand, Refusal } from '../../../refusal';
import { Chance, closed, Day, Line, oneOf, Text, Type } from '../../../schema/words';
import { demandDay } from '../../day';
import { kind } from '../kind';

/** What is offered to the owner: ways with their price, how long it holds, what it does not cover. */
export const quoteMade = kind({
  type: 'quote.made',
  payload: {
    lines: Type.Array(
      closed({
        way: oneOf(ALTERNATIVES),
        what: Line,
        minutes: Type.Number({ minimum: 0, maximum: 100_000 }),
        /** minor units */
        parts: Type.Number({ minimum: 0 }),
        days: Type.Optional(Type.Number({ minimum: 0, maximum: 3650 })),
        chance: Type.Optional(Chance),
        leaves: Type.Optional(Line),
      }),
      { minItems: 1, maxItems: 12 },
    ),
    currency: Type.String({ minLength: 3, maxLength: 3 }),
    ratePerHour: Type.Number({ minimum: 0 }),
    validUntil: Day,
    notCovered: Type.Optional(Text),
    needed: Type.Boolean(),
  },
  admit: 'always',
  apply(state, { lines, currency, ratePerHour, validUntil, notCovered, needed }, { id, at, by }) {
    demand(state.intake, 'take the unit in first: say what fails');
    demand(lines.length > 0, 'a quote offers at least one way', '/lines');
    demandDay(validUntil, '/validUntil');
    demand(
      validUntil >= at.slice(0, 10),
      'its last day lies behind: give it one that is to come',
      '/validUntil',
    );
    for (const [i, l] of lines.entries()) {
      demand(l.what.trim() !== '', 'say what is done', `/lines/${i}/what`);
      try {
        formatMoney(priceOf(l, ratePerHour), currency);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        throw new Refusal(
          error.message,
          error.path === '/currency' || error.path === '/ratePerHour'
            ? error.path
            : `/lines/${i}${error.path}`,
        );
      }
    }
    return {
      ...state,
      quote: {
        id,
        lines: lines.map((l) => ({ ...l, what: l.what.trim() })),
        currency,
        ratePerHour,
        validUntil,
        ...(notCovered?.trim() ? { notCovered: notCovered.trim() } : {}),
        needed,
        at,
        by,
        sent: [],
        answer: null,
      },
    };
  },
  says: ({ lines, currency, ratePerHour }) =>
    `Quote: ${lines.map((l) => `${l.what}, ${formatMoney(priceOf(l, ratePerHour), currency)}`).join('; ')}`,
  reports: ({ lines, currency, ratePerHour, validUntil }, _state, { at }, { later }) =>
    // The one that holds.
    later.length
      ? []
      : lines.map((l) => ({
          under: 'Planned' as const,
          at,
          text: `Quoted, ${l.way}: ${l.what}`,
          result: `${formatMoney(priceOf(l, ratePerHour), currency)}, until ${validUntil}`,
        })),
  whileParked: 'taken',
});
