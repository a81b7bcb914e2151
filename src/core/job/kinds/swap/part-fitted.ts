import { arm } from '../../../hazard';
import { take, tally, writeOff } from '../../../ledger';
import { demand } from '../../../refusal';
import { closed, Line, Type, Ulid } from '../../../schema/words';
import { itemOf } from '../../came-off';
import { fixLines } from '../../fix-lines';
import { handsIn } from '../../hands-in';
import { jointOfElement } from '../../joint-of';
import { nextRemedy } from '../../opening';
import { packsOn, unread } from '../../packs';
import { demandPrepared, planned } from '../../planned';
import { fitOf } from '../../prepared';
import { stampsOf } from '../../stamps';
import { kind } from '../kind';

/** The new part is in. */
export const partFitted = kind({
  type: 'part.fitted',
  payload: {
    name: Line,
    serial: Type.Optional(Line),
    dateCode: Type.Optional(Line),
    /** the thing of the store that it was */
    stock: Type.Optional(Ulid),
    /** a unit kept for its parts that it was taken from */
    donor: Type.Optional(closed({ job: Ulid, tag: Line })),
  },
  admit(state) {
    const fit = fitOf(state, state.out?.element ?? '');
    const fail = fit?.verdict === 'fail' ? fit.lines.find((l) => l.verdict === 'fail') : undefined;
    demand(
      !fail,
      fail ? `Do not fit it: ${fail.line}, ${fail.why}. Compare them again in Plan` : '',
      '/name',
    );
    demandPrepared(state, 'before in');
    handsIn(state, { thing: state.out?.element, back: true });
  },
  apply(state, { name, serial, dateCode, donor }, { id, at }) {
    const { element, remedy } = planned(state);
    const { out } = state;
    demand(out, 'take the old part out first', '/name');
    demand(name.trim() !== '', 'say what went in', '/name');
    const old = itemOf(state, out.item);
    // Somebody may have written the old one off already.
    const freed =
      old && tally(old).off > 0
        ? writeOff(state.ledger, out.item, { count: 1, reason: 'replaced', replacement: name.trim() })
        : state.ledger;
    const held = jointOfElement(state, element);
    const ledger = take(
      freed,
      {
        verb: 'fit',
        text: `in: ${name}`,
        fresh: true,
        item: {
          kind: 'part',
          name: name.trim(),
          count: 1,
          place: { kind: 'left in the part' },
          ...(held ? { joint: held } : {}),
        },
      },
      { id, at },
    );
    const stamped = stampsOf(out.serial, out.dateCode);
    const { prepared, across } = state.swap;
    return nextRemedy({
      ...unread(state, packsOn(state, element.id)),
      ledger,
      hazards: arm(state.map, state.hazards, element.id, at),
      stop: 'close up',
      out: null,
      fix: {
        element: element.id,
        remedy,
        at,
        proofsBefore: state.proofs.length,
        name: name.trim(),
        oldItem: out.item,
        newItem: id,
        ...(donor ? { donor } : {}),
        ...stampsOf(serial, dateCode),
        ...(Object.keys(stamped).length ? { old: stamped } : {}),
        ...(across.length ? { across } : {}),
        ...(prepared.length ? { prepared } : {}),
      },
      swap: { ...state.swap, prepared: [], across: [] },
    });
  },
  says: (p) =>
    `In: ${p.name}${p.serial ? `, serial ${p.serial}` : ''}${p.donor ? `, from ${p.donor.tag}` : ''}`,
  reports: (_p, state, { at }) => fixLines(state, at),
  whileParked: 'wakes',
});
