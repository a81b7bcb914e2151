import { demand } from '../../../refusal';
import { Name, Type } from '../../../schema/words';
import { kind } from '../kind';

/** Something of one's own that is taken along: a torch, a spare cup; or is not after all. */
export const kitNoted = kind({
  type: 'kit.noted',
  payload: { what: Name, along: Type.Boolean() },
  admit: 'always',
  apply(state, { what, along }) {
    const said = what.trim();
    demand(said !== '', 'say what is taken along', '/what');
    const others = state.kit.filter((k) => k.toLowerCase() !== said.toLowerCase());
    demand(along || others.length < state.kit.length, `${said} is not in the kit`, '/what');
    return { ...state, kit: along ? [...others, said] : others };
  },
  says: (p) => (p.along ? `Into the kit: ${p.what}` : `Out of the kit: ${p.what}`),
  reports: 'nothing',
  whileParked: 'taken',
});
