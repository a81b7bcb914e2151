import { close, placeWords, specOf, tally, unclaimed } from '../../../ledger';
import { demand } from '../../../refusal';
import { Name, oneOf } from '../../../schema/words';
import { kind } from '../kind';

/** A cover goes on: laid on for a trial, or closed for good. */
export const coverClosed = kind({
  type: 'cover.closed',
  payload: { cover: Name, kind: oneOf(['trial', 'final'] as const) },
  admit(state, p) {
    const [unclear] = p.kind === 'final' ? unclaimed(state.ledger) : [];
    demand(
      !unclear,
      unclear
        ? `Say first whose they are: ${tally(unclear).off} × ${specOf(unclear)}${unclear.from ? `, “${unclear.from}”` : ''}, ${placeWords(unclear.place)}`
        : '',
      '/cover',
    );
  },
  apply(state, p, { at }) {
    const ledger = close(state.ledger, p.cover, p.kind, at);
    const shut = ledger.covers.every((c) => c.state === 'final');
    return { ...state, ledger, stop: state.fix ? (shut ? 'prove' : 'close up') : state.stop };
  },
  says: (p, state) => {
    const name = state.ledger.covers.find((c) => c.id === p.cover)?.name ?? p.cover;
    return p.kind === 'final' ? `${name} closed` : `${name} laid on for a trial`;
  },
  reports: 'nothing',
  whileParked: 'wakes',
});
