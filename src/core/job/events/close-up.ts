import { close } from '../../ledger';
import { kind } from './kind';

export const coverClosed = kind<{ cover: string; kind: 'trial' | 'final' }>({
  apply(state, p, { at }) {
    const ledger = close(state.ledger, p.cover, p.kind, at);
    const shut = ledger.covers.every((c) => c.state === 'final');
    return { ...state, ledger, stop: state.fix ? (shut ? 'prove' : 'close up') : state.stop };
  },
  says: (p, state) => {
    const name = state.ledger.covers.find((c) => c.id === p.cover)?.name ?? p.cover;
    return p.kind === 'final' ? `${name} closed` : `${name} laid on for a trial`;
  },
});
