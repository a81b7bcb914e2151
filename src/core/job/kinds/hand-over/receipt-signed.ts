import { demand } from '../../../refusal';
import { Line, Type } from '../../../schema/words';
import { kind } from '../kind';

const Place = Type.Number({ minimum: 0, maximum: 1 });

/** Whoever takes the unit back signs for it, by hand or by name alone. */
export const receiptSigned = kind({
  type: 'receipt.signed',
  payload: {
    name: Line,
    /** width of the field over its height */
    wide: Type.Number({ minimum: 0.2, maximum: 10 }),
    lines: Type.Array(Type.Array(Place, { minItems: 2, maxItems: 1000 }), { maxItems: 100 }),
  },
  admit: 'always',
  apply(state, { name, wide, lines }, { at, by }) {
    demand(name.trim() !== '', 'say who signs', '/name');
    for (const [i, line] of lines.entries())
      demand(line.length % 2 === 0, 'a line is drawn through points of two numbers', `/lines/${i}`);
    demand(
      lines.reduce((n, l) => n + l.length, 0) <= 8000,
      'that is more than a signature: draw it again, shorter',
      '/lines',
    );
    return { ...state, receipt: { name: name.trim(), wide, lines, at, by } };
  },
  says: ({ name }) => `Signed for by ${name}`,
  reports: ({ name }, _state, { at }, { later }) =>
    later.length ? [] : [{ under: 'Handed over', at, text: 'Signed for by', result: name.trim() }],
  whileParked: 'taken',
});
