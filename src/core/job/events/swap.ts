import { arm } from '../../hazard';
import { take, writeOff } from '../../ledger';
import { demand } from '../../refusal';
import type { JobState } from '../state';
import { kind } from './kind';
import { handsIn } from './open-up';

const planned = (state: JobState) => {
  const { plan } = state;
  demand(plan?.kind === 'remedy' && plan.element && plan.remedy, 'choose a remedy in Plan first');
  const element = state.map.elements.find((e) => e.id === plan.element);
  demand(element, `${plan.element} is not on the map`);
  return { plan, element, remedy: plan.remedy };
};

const reached = (state: JobState, needs: string[] | undefined) => {
  for (const id of needs ?? []) {
    const cover = state.ledger.covers.find((c) => c.id === id && c.state !== 'final');
    const name = state.map.access.find((a) => a.id === id)?.name ?? id;
    demand(cover, `the ${name} is still on. Record it off in Open up`);
  }
};

export const partRemoved = kind<{ name: string; carry?: string[] }>({
  apply(state, { name, carry = [] }, { id, at }) {
    const { plan, element } = planned(state);
    demand(plan.remedyKind === 'replace', `“${plan.name}” replaces nothing`);
    demand(!state.out && !state.fix, `${element.id} is out already`);
    demand(name.trim() !== '', 'say what came out', '/name');
    reached(state, element.needs);
    handsIn(state);
    let ledger = take(
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
    carry
      .filter((c) => c.trim())
      .forEach((c, k) => {
        ledger = take(
          ledger,
          {
            verb: 'carry',
            text: `carry over: ${c}`,
            item: {
              kind: 'part',
              name: c.trim(),
              count: 1,
              from: name.trim(),
              place: { kind: 'left in the part' },
            },
          },
          { id: `${id}.${k}`, at },
        );
      });
    return { ...state, ledger, stop: 'swap', out: { element: element.id, item: id } };
  },
  says: (p) => `Out: ${p.name}`,
});

export const partFitted = kind<{ name: string; serial?: string }>({
  apply(state, { name, serial }, { id, at }) {
    const { element, remedy } = planned(state);
    const { out } = state;
    demand(out, 'take the old part out first', '/name');
    demand(name.trim() !== '', 'say what went in', '/name');
    handsIn(state);
    const freed = writeOff(state.ledger, out.item, {
      count: 1,
      reason: 'replaced',
      replacement: name.trim(),
    });
    const ledger = take(
      freed,
      {
        verb: 'fit',
        text: `in: ${name}`,
        fresh: true,
        item: { kind: 'part', name: name.trim(), count: 1, place: { kind: 'left in the part' } },
      },
      { id, at },
    );
    return {
      ...state,
      ledger,
      hazards: arm(state.map.hazards, state.hazards, element.id, at),
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
        ...(serial?.trim() ? { serial: serial.trim() } : {}),
      },
    };
  },
  says: (p) => `In: ${p.name}${p.serial ? `, serial ${p.serial}` : ''}`,
});

export const remedyDone = kind<{ note?: string }>({
  apply(state, { note }, { at }) {
    const { plan, element, remedy } = planned(state);
    demand(plan.remedyKind !== 'replace', 'a replacement is recorded by what came out and what went in');
    demand(!state.fix, 'this remedy is done already');
    reached(state, element.needs);
    handsIn(state);
    return {
      ...state,
      stop: 'close up',
      fix: {
        element: element.id,
        remedy,
        at,
        proofsBefore: state.proofs.length,
        name: note?.trim() || plan.name,
      },
    };
  },
  says: (_p, state) => `Done: ${state.plan?.name ?? 'remedy'}`,
});

export const remedyTried = kind<Record<never, never>>({
  apply(state, _p, { id, at, by }) {
    const { fix } = state;
    demand(fix, 'no remedy has been done yet');
    return {
      ...state,
      stop: 'trace',
      plan: null,
      fix: null,
      failed: [...state.failed, fix],
      trace: [...state.trace, { id, at, by, tried: { element: fix.element, remedy: fix.remedy } }],
    };
  },
  says: (_p, state) => `${state.fix?.name ?? 'Remedy'} tried, the symptom stayed`,
});
