import { demand } from '../../../refusal';
import { Type } from '../../../schema/words';
import { tickWords } from '../../ticks';
import { kind } from '../kind';

/** A tick is made: one of one's own, or one that Mulch asks at its time. */
export const tickDone = kind({
  type: 'tick.done',
  payload: { tick: Type.String({ minLength: 1, maxLength: 60 }) },
  admit: 'always',
  apply(state, { tick }, { at, by }) {
    demand(tickWords(state, tick) !== undefined, 'there is no such tick', '/tick');
    demand(!state.ticked.some((t) => t.tick === tick), 'it is ticked already', '/tick');
    return { ...state, ticked: [...state.ticked, { tick, at, by }] };
  },
  says: (p, state) => `Ticked: ${tickWords(state, p.tick) ?? p.tick}`,
  reports: ({ tick }, state, { at }) => [
    { under: 'Notes', at, text: tickWords(state, tick) ?? tick, result: 'ticked' },
  ],
  whileParked: 'taken',
});
