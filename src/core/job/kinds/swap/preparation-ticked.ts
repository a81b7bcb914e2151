import { demand } from '../../../refusal';
import { Line, Name, Type } from '../../../schema/words';
import { planned } from '../../planned';
import { preparationsOf } from '../../prepared';
import { kind } from '../kind';

/** One line of the preparation list is seen to. */
export const preparationTicked = kind({
  type: 'preparation.ticked',
  payload: { line: Name, note: Type.Optional(Line) },
  admit(state, { line: id, note }) {
    const line = preparationsOf(state).find((l) => l.id === id);
    const compared = state.batteries[state.plan?.element ?? '']?.request;
    const held = note?.trim()
      ? line?.judge?.(note, { volts: compared?.old.volts ?? compared?.new.volts })
      : null;
    demand(!held, held ?? '', '/note');
  },
  apply(state, { line: id, note }, { at }) {
    const { element } = planned(state);
    const line = preparationsOf(state).find((l) => l.id === id);
    demand(line, `${id} is no line of the list for ${element.id}`, '/line');
    demand(!line.asks || note?.trim(), `${line.asks}: write it down`, '/note');
    const rest = state.swap.prepared.filter((p) => p.line !== id);
    const tick = { line: id, at, ...(note?.trim() ? { note: note.trim() } : {}) };
    return { ...state, swap: { ...state.swap, prepared: [...rest, tick] } };
  },
  says: (p, state) => {
    const line = preparationsOf(state).find((l) => l.id === p.line);
    return `${line?.ask ?? p.line}${p.note?.trim() ? `: ${p.note.trim()}` : ''}`;
  },
  reports: 'nothing',
  whileParked: 'wakes',
});
