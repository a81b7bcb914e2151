import { demand } from '../../../refusal';
import { Name, Type } from '../../../schema/words';
import { HAZARDS } from '../../../unit';
import { hazardName, hazardOf } from '../../gate';
import { kind } from '../kind';

/** A pack is swollen, or, looked at again, is not. */
export const swellingNoted = kind({
  type: 'swelling.noted',
  payload: { hazard: Name, swollen: Type.Boolean() },
  admit: 'always',
  apply(state, { hazard, swollen }) {
    const h = hazardOf(state, hazard);
    demand(HAZARDS[h.kind].isPack, `${h.name} is no pack: it cannot swell`, '/hazard');
    const rest = state.swollen.filter((id) => id !== hazard);
    return { ...state, swollen: swollen ? [...rest, hazard] : rest };
  },
  says: (p, state) =>
    p.swollen
      ? `${hazardName(state, p.hazard)} is swollen: no heat, no lever, outside with it`
      : `${hazardName(state, p.hazard)} is not swollen`,
  reports({ hazard, swollen }, state, { at }, { later }) {
    if (later.some((l) => l.hazard === hazard)) return [];
    const name = hazardName(state, hazard);
    return swollen
      ? [
          { under: 'Made safe', at, text: `${name}: swollen`, result: 'no heat, no lever' },
          {
            under: 'Done',
            at,
            text: `${name}, swollen`,
            result: 'outside, covered, apart; handed in as a damaged pack, never with the others',
          },
        ]
      : [];
  },
  whileParked: 'taken',
});
