import { partFirst } from '../../../hazard';
import { takeAgain } from '../../../ledger';
import { demand } from '../../../refusal';
import { Count, Line, Type } from '../../../schema/words';
import { itemOf, itemSpec } from '../../came-off';
import { handsIn } from '../../hands-in';
import { leadsNow } from '../../packs';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

const because = (why: string | undefined) => (why?.trim() ? `: ${why.trim()}` : '');

/** Some of what was back comes off again. */
export const itemTaken = kind({
  type: 'item.taken',
  payload: {
    item: ItemId,
    count: Count,
    /** why it had to come off once more */
    why: Type.Optional(Line),
  },
  admit(state, p) {
    const i = itemOf(state, p.item);
    if (!i || i.kind === 'fastener') return;
    handsIn(state, { cover: i.cover, thing: i.name, plug: i.kind === 'plug' });
    const first = i.kind === 'plug' ? partFirst(state.map, leadsNow(state), i.name) : null;
    demand(!first, first ? `${first.plug} first: ${first.why}` : '', '/item');
  },
  apply: (state, p) => ({ ...state, ledger: takeAgain(state.ledger, p.item, p.count) }),
  says: (p, state) => `${p.count} × ${itemSpec(state, p.item)} off again${because(p.why)}`,
  reports: (p, state, { at }) =>
    p.why?.trim()
      ? [
          {
            under: 'Came off and went back',
            at,
            text: `${p.count} × ${itemSpec(state, p.item)} off again`,
            result: p.why.trim(),
          },
        ]
      : [],
  whileParked: 'wakes',
});
