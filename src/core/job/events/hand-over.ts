import { demand } from '../../refusal';
import { handOverHeldBy } from '../hand-over-rule';
import type { HandOver } from '../state';
import { kind } from './kind';

export const jobHandedOver = kind<Omit<HandOver, 'at' | 'by'>>({
  apply(state, p, { at, by }) {
    demand(!state.handedOver, 'this job is handed over already');
    demand(p.to.trim() !== '', 'say who takes it', '/to');
    const held = handOverHeldBy(state, p.result);
    demand(held.length === 0, `Held: ${held.join('; ')}`, '/result');
    return { ...state, stop: 'hand over', handedOver: { ...p, to: p.to.trim(), at, by } };
  },
  says: (p) => `Handed over to ${p.to}: ${p.result}`,
});
