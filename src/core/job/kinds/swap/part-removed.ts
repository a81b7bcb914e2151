import { folded } from '../../../hazard';
import { take } from '../../../ledger';
import { demand } from '../../../refusal';
import { Line, Name, Type } from '../../../schema/words';
import { cameOff } from '../../came-off';
import { handsIn } from '../../hands-in';
import { markOld } from '../../old-part';
import { demandPrepared, planned, plugsToMove, reached } from '../../planned';
import { demandAgreed } from '../../quote-held';
import { stampsOf } from '../../stamps';
import { kind } from '../kind';

/** The old part is out, with what it carries that goes over to the new one. */
export const partRemoved = kind({
  type: 'part.removed',
  payload: {
    name: Line,
    carry: Type.Optional(Type.Array(Line, { maxItems: 20 })),
    /** plugs that stay on the old part on purpose */
    along: Type.Optional(Type.Array(Name, { maxItems: 99 })),
    serial: Type.Optional(Line),
    dateCode: Type.Optional(Line),
  },
  admit(state, { along = [] }) {
    demandAgreed(state);
    demandPrepared(state, 'before out');
    const stays = new Set(along.map(folded));
    const left = plugsToMove(state).filter((p) => !stays.has(folded(p)));
    const across = state.swap.mode === 'one across';
    demand(
      left.length === 0,
      `${across ? 'one at a time: ' : ''}${left.join(', ')} still on the old one`,
      '/along',
    );
    handsIn(state, {});
  },
  apply(state, { name, carry = [], serial, dateCode }, { id, at }) {
    const { plan, element } = planned(state);
    demand(plan.remedyKind === 'replace', `“${plan.name}” replaces nothing`);
    demand(!state.out && !state.fix, `${element.id} is out already`);
    demand(name.trim() !== '', 'say what came out', '/name');
    reached(state, element.needs);
    const out = take(
      state.ledger,
      {
        verb: 'remove',
        text: `out: ${name}`,
        item: {
          kind: 'part',
          name: name.trim(),
          count: 1,
          place: { kind: 'bag', label: 'old' },
          undoneBy: 'replaced by',
        },
      },
      { id, at },
    );
    const ledger = carry
      .map((c) => c.trim())
      .filter(Boolean)
      .reduce(
        (l, c, k) =>
          take(
            l,
            {
              verb: 'carry',
              text: `carry over: ${c}`,
              item: {
                kind: 'part',
                name: c,
                count: 1,
                from: name.trim(),
                place: { kind: 'left in the part' },
              },
            },
            { id: `${id}.${k}`, at },
          ),
        out,
      );
    return {
      ...state,
      ledger: markOld(ledger, id),
      stop: 'swap',
      out: { element: element.id, item: id, ...stampsOf(serial, dateCode) },
    };
  },
  says: (p) => `Out: ${p.name}${p.serial?.trim() ? `, serial ${p.serial.trim()}` : ''}`,
  reports: (_p, state, { id }) => cameOff(state, id),
  whileParked: 'wakes',
});
