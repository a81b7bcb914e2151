import { coverOf, specOf, take } from '../../../ledger';
import { Line } from '../../../schema/words';
import { cameOff } from '../../came-off';
import { jointed } from '../../joint-of';
import { kind } from '../kind';
import { ItemDraftSchema } from './draft-schema';

/** Something that is put in for the first time: nothing came off for it. It is owed and proven like the rest. */
export const itemToFit = kind({
  type: 'item.to-fit',
  payload: { text: Line, item: ItemDraftSchema },
  admit: 'always',
  apply(state, { text, item: draft }, { id, at }) {
    const item = jointed(state, 'fit', draft);
    const cover = item.kind === 'part' ? coverOf(item.name, state.map.access) : undefined;
    const off = state.ledger.covers.some((c) => c.id === cover);
    const ledger = take(
      state.ledger,
      { verb: 'fit', text, item, assembly: true, ...(cover && !off ? { cover } : {}) },
      { id, at },
    );
    return { ...state, ledger };
  },
  says: (p) => `To be fitted: ${p.item.count === null ? 'several' : p.item.count} × ${specOf(p.item)}`,
  reports: (_p, state, { id }) => cameOff(state, id),
  whileParked: 'wakes',
});
