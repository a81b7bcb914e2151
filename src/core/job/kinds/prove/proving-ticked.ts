import { demand } from '../../../refusal';
import { Line, Name, oneOf, Type } from '../../../schema/words';
import { formatReading } from '../../../unit';
import { demandLeave } from '../../leave';
import { isDone } from '../../opening';
import { provingLines } from '../../proving';
import { kind } from '../kind';

/** One thing shown beside the failing check. */
export const provingTicked = kind({
  type: 'proving.ticked',
  payload: {
    line: Name,
    outcome: oneOf(['ok', 'bad'] as const),
    reading: Type.Optional(Type.Number()),
    note: Type.Optional(Line),
  },
  admit: (state) => demandLeave(state, 'test', '/line'),
  apply(state, { line: id, outcome, reading, note }, { at, by }) {
    demand(isDone(state), 'nothing has been mended yet: do the remedy first', '/line');
    const line = provingLines(state).find((l) => l.id === id);
    demand(line, 'that is not among what has to be shown', '/line');
    demand(reading === undefined || line.unit, 'no reading belongs to it', '/reading');
    const rest = state.proving.filter((p) => p.line !== id);
    return {
      ...state,
      proving: [
        ...rest,
        {
          line: id,
          outcome,
          at,
          by,
          ...(reading === undefined ? {} : { reading, unit: line.unit ?? '' }),
          ...(note?.trim() ? { note: note.trim() } : {}),
        },
      ],
    };
  },
  says: (p, state) => {
    const line = provingLines(state).find((l) => l.id === p.line);
    return `${line?.ask ?? p.line}: ${p.outcome === 'ok' ? 'good' : 'not good'}${p.note?.trim() ? `, ${p.note.trim()}` : ''}`;
  },
  reports({ line: id }, state, { at }, { later }) {
    const line = provingLines(state).find((l) => l.id === id);
    const done = state.proving.find((p) => p.line === id);
    if (!line || !done || later.some((l) => l.line === id)) return [];
    const read = done.reading === undefined ? '' : `, ${formatReading(done.reading, done.unit ?? '')}`;
    const before = line.before ? `before ${line.before}; ` : '';
    return [
      {
        under: 'Shown beside it',
        at,
        text: line.ask,
        result: `${before}${done.outcome === 'ok' ? 'good' : 'not good'}${read}${done.note ? `, ${done.note}` : ''}`,
      },
    ];
  },
  whileParked: 'wakes',
});
