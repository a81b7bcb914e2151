import { arm } from '../../../hazard';
import { giveBack, prove, take, tally } from '../../../ledger';
import { demand } from '../../../refusal';
import { Line, Name } from '../../../schema/words';
import { cameOff } from '../../came-off';
import { handsIn } from '../../hands-in';
import { planned, reached } from '../../planned';
import { kind } from '../kind';

/** One plug from the old part to the same place on the new one, and how it was proven there. */
export const plugMoved = kind({
  type: 'plug.moved',
  payload: { plug: Name, how: Line },
  admit: (state, { plug }) => handsIn(state, { thing: plug, plug: true, back: true }),
  apply(state, { plug, how }, { id, at }) {
    const { element } = planned(state);
    demand(state.swap.mode === 'one across', 'choose one across at a time first', '/plug');
    demand(!state.out && !state.fix, 'the old part is out already', '/plug');
    demand(plug.trim() !== '', 'say which plug', '/plug');
    demand(how.trim() !== '', 'say how it was proven: click, tug, both ends looked at', '/how');
    demand(!state.swap.across.includes(plug.trim()), `${plug} is across already`, '/plug');
    reached(state, element.needs);
    const name = plug.trim();
    const known = state.map.plugs?.find((p) => p.id === name);
    const off = state.ledger.items.find((i) => i.kind === 'plug' && i.name === name && tally(i).off > 0);
    const item = {
      kind: 'plug' as const,
      name,
      count: 1,
      from: element.id,
      place: { kind: 'left in the part' as const },
      ...(known ? { contacts: known.positions } : {}),
    };
    const taken = off
      ? state.ledger
      : take(state.ledger, { verb: 'move across', text: `${name} across`, item }, { id, at });
    const on = giveBack(taken, off?.id ?? id, 1, 'moved to');
    return {
      ...state,
      ledger: prove(on, off?.id ?? id, how, at),
      hazards: arm(state.map, state.hazards, name, at),
      stop: 'swap',
      swap: { ...state.swap, across: [...state.swap.across, name] },
    };
  },
  says: (p) => `${p.plug} across, ${p.how}`,
  reports: (_p, state, { id }) => cameOff(state, id),
  whileParked: 'wakes',
});
