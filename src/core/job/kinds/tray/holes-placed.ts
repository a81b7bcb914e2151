import { demand } from '../../../refusal';
import { closed, oneOf, Type } from '../../../schema/words';
import { tighten } from '../../../tighten';
import { itemOf, itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Where the screws of a lid sit, so that they can be drawn and tightened in order. */
export const holesPlaced = kind({
  type: 'holes.placed',
  payload: {
    item: ItemId,
    points: Type.Array(closed({ x: Type.Number(), y: Type.Number() }), { minItems: 1, maxItems: 60 }),
    lid: oneOf(['metal', 'plastic'] as const),
  },
  admit: 'always',
  apply(state, { item, points, lid }) {
    const i = itemOf(state, item);
    demand(i?.kind === 'fastener', 'only fasteners have holes', '/item');
    demand(
      i.count === null || points.length === i.count,
      `there are ${i.count} of them and ${points.length} holes`,
      '/points',
    );
    tighten({ points: points.map((p, k) => ({ id: String(k + 1), ...p })), lid });
    return { ...state, holes: { ...state.holes, [item]: { points, lid } } };
  },
  says: (p, state) => `Holes of ${itemSpec(state, p.item)} placed`,
  reports: 'nothing',
  whileParked: 'wakes',
});
