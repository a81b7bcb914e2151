import { arm } from '../../hazard';
import { giveBack, prove, take, tally, writeOff } from '../../ledger';
import { plugsOf } from '../../preparation';
import { demand } from '../../refusal';
import { readDateCode } from '../../unit';
import { fitOf, preparationsOf } from '../prepared';
import { CABLE_MODES, type CableMode, type JobState } from '../state';
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

/** The first thing that has to be seen to before the old part comes out, or the new one goes in. */
function unprepared(state: JobState, when: 'before out' | 'before in') {
  const ticked = new Set(state.swap.prepared.map((p) => p.line));
  return preparationsOf(state).find((l) => l.must && l.when === when && !ticked.has(l.id));
}
const demandPrepared = (state: JobState, when: 'before out' | 'before in') => {
  const line = unprepared(state, when);
  demand(!line, line ? `First: ${line.ask}` : '', '/prepared');
};

/** Plugs of the planned part that still sit on the old one; one that is off already goes on in Close up. */
export function plugsToMove(state: JobState): string[] {
  const element = state.map.elements.find((e) => e.id === state.plan?.element);
  if (!element) return [];
  const off = state.ledger.items.filter((i) => i.kind === 'plug' && tally(i).off > 0).map((i) => i.name);
  const across = new Set([...state.swap.across, ...off]);
  return plugsOf({ element, map: state.map })
    .map((p) => p.id)
    .filter((p) => !across.has(p));
}

const stamped = (dateCode: string | undefined) => {
  const code = dateCode?.trim();
  if (code) readDateCode(code);
  return code ? { dateCode: code } : {};
};

export const partRemoved = kind<{ name: string; carry?: string[]; serial?: string; dateCode?: string }>({
  admit(state) {
    demandPrepared(state, 'before out');
    const left = state.swap.mode === 'one across' ? plugsToMove(state) : [];
    demand(left.length === 0, `one at a time: ${left.join(', ')} still on the old one`, '/name');
  },
  apply(state, { name, carry = [], serial, dateCode }, { id, at }) {
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
    return {
      ...state,
      ledger,
      stop: 'swap',
      out: {
        element: element.id,
        item: id,
        ...(serial?.trim() ? { serial: serial.trim() } : {}),
        ...stamped(dateCode),
      },
    };
  },
  says: (p) => `Out: ${p.name}${p.serial?.trim() ? `, serial ${p.serial.trim()}` : ''}`,
});

export const partFitted = kind<{ name: string; serial?: string; dateCode?: string }>({
  admit(state) {
    const fit = fitOf(state, state.out?.element ?? '');
    const fail = fit?.verdict === 'fail' ? fit.lines.find((l) => l.verdict === 'fail') : undefined;
    demand(
      !fail,
      fail ? `Do not fit it: ${fail.line}, ${fail.why}. Compare them again in Plan` : '',
      '/name',
    );
    demandPrepared(state, 'before in');
  },
  apply(state, { name, serial, dateCode }, { id, at }) {
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
        ...stamped(dateCode),
        ...(out.serial || out.dateCode
          ? {
              old: {
                ...(out.serial ? { serial: out.serial } : {}),
                ...(out.dateCode ? { dateCode: out.dateCode } : {}),
              },
            }
          : {}),
        ...(state.swap.across.length ? { across: state.swap.across } : {}),
        ...(state.swap.prepared.length ? { prepared: state.swap.prepared } : {}),
      },
      swap: { ...state.swap, prepared: [], across: [] },
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

/** One line of the preparation list is seen to. */
export const preparationTicked = kind<{ line: string; note?: string }>({
  apply(state, { line: id, note }, { at }) {
    const { element } = planned(state);
    const line = preparationsOf(state).find((l) => l.id === id);
    demand(line, `${id} is no line of the list for ${element.id}`, '/line');
    demand(!line.asks || note?.trim(), `${line.asks}: write it down`, '/note');
    const rest = state.swap.prepared.filter((p) => p.line !== id);
    const tick = { line: id, at, ...(note?.trim() ? { note: note.trim() } : {}) };
    return { ...state, swap: { ...state.swap, prepared: [...rest, tick] } };
  },
  says: (p, state) => {
    const line = preparationsOf(state).find((l) => l.id === p.line);
    return `${line?.ask ?? p.line}${p.note?.trim() ? `: ${p.note.trim()}` : ''}`;
  },
});

/** How the cables of the part go over: all off first, or one at a time. */
export const cablesChosen = kind<{ mode: CableMode }>({
  apply(state, { mode }) {
    demand(CABLE_MODES.includes(mode), `${mode} is no way of moving cables`, '/mode');
    demand(!state.out && !state.fix, 'the old part is out already', '/mode');
    return { ...state, swap: { ...state.swap, mode } };
  },
  says: (p) => `Cables: ${p.mode === 'one across' ? 'one across at a time' : 'all off, then all on'}`,
});

/** One plug from the old part to the same place on the new one, and how it was proven there. */
export const plugMoved = kind<{ plug: string; how: string }>({
  apply(state, { plug, how }, { id, at }) {
    const { element } = planned(state);
    demand(state.swap.mode === 'one across', 'choose one across at a time first', '/plug');
    demand(!state.out && !state.fix, 'the old part is out already', '/plug');
    demand(plug.trim() !== '', 'say which plug', '/plug');
    demand(how.trim() !== '', 'say how it was proven: click, tug, both ends looked at', '/how');
    demand(!state.swap.across.includes(plug.trim()), `${plug} is across already`, '/plug');
    reached(state, element.needs);
    handsIn(state, undefined, plug.trim());
    const name = plug.trim();
    const known = state.map.plugs?.find((p) => p.id === name);
    const off = state.ledger.items.find((i) => i.kind === 'plug' && i.name === name && tally(i).off > 0);
    const item = {
      kind: 'plug' as const,
      name,
      count: 1,
      from: element.id,
      place: { kind: 'left in the part' as const },
      ...(known ? { contacts: known.positions } : {}),
    };
    const taken = off
      ? state.ledger
      : take(state.ledger, { verb: 'move across', text: `${name} across`, item }, { id, at });
    const on = giveBack(taken, off?.id ?? id, 1, 'moved to');
    return {
      ...state,
      ledger: prove(on, off?.id ?? id, how, at),
      hazards: arm(state.map.hazards, state.hazards, name, at),
      stop: 'swap',
      swap: { ...state.swap, across: [...state.swap.across, name] },
    };
  },
  says: (p) => `${p.plug} across, ${p.how}`,
});
