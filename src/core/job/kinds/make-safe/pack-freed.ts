import { folded } from '../../../hazard';
import { demand } from '../../../refusal';
import { Name } from '../../../schema/words';
import type { Hazard, UnitMap } from '../../../unit';
import { hazardName, hazardOf } from '../../gate';
import { kind } from '../kind';

/** What lies over the plug of a pack and has to come off before its gate can be cleared; asked once. */
export const packFreed = kind({
  type: 'pack.freed-by',
  payload: { hazard: Name, thing: Name },
  admit: 'always',
  apply(state, { hazard, thing }) {
    const h = hazardOf(state, hazard);
    demand(h.clear.inside, `${h.name} is not cleared inside`, '/hazard');
    demand(thing.trim() !== '', 'say what lies over it', '/thing');
    const known = h.clear.under?.some((u) => folded(u) === folded(thing));
    if (known) return state;
    const freed = (x: Hazard): Hazard =>
      x.id === hazard ? { ...x, clear: { ...x.clear, under: [...(x.clear.under ?? []), thing.trim()] } } : x;
    const on = (map: UnitMap): UnitMap => ({ ...map, hazards: map.hazards.map(freed) });
    return { ...state, map: on(state.map), whole: on(state.whole) };
  },
  says: (p, state) => `Over ${hazardName(state, p.hazard)}: ${p.thing}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
