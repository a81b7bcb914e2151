import { arm, clearGate, holding, passGate, type Source } from '../../hazard';
import { take, tally } from '../../ledger';
import { demand } from '../../refusal';
import { formatReading } from '../../unit';
import { openAccess } from '../open';
import type { JobState } from '../state';
import { kind } from './kind';

const hazard = (state: JobState, id: string) => {
  const h = state.map.hazards.find((x) => x.id === id);
  demand(h, `${id} is no hazard of this unit`, '/hazard');
  return h;
};

const nextStop = (state: JobState): JobState => {
  const all = state.map.access.flatMap((a) =>
    holding(state.map.hazards, state.hazards, openAccess(state), a.id),
  );
  const clear = all.length === 0 && state.plan;
  return clear && state.stop === 'make safe' ? { ...state, stop: 'open up' } : state;
};

/** The tray after the act of a gate has parted a plug; a plug that is off already stays as it is. */
const parted = (state: JobState, plug: string | undefined, when: { id: string; at: string }) => {
  const off = state.ledger.items.some((i) => i.kind === 'plug' && i.name === plug && tally(i).off > 0);
  if (!plug || off) return state.ledger;
  const item = { kind: 'plug' as const, name: plug, count: 1, place: { kind: 'left in the part' as const } };
  return take(state.ledger, { verb: 'unplug', text: `unplug ${plug}, contacts taped over`, item }, when);
};

export const powerSet = kind<{ power: 'on' | 'off' }>({
  apply(state, { power }, { at }) {
    if (power === 'off') return { ...state, power };
    return { ...state, power, hazards: arm(state.map.hazards, state.hazards, 'power', at) };
  },
  says: (p) => `Power ${p.power}`,
});

export const gateCleared = kind<{
  hazard: string;
  acted: boolean;
  reading?: number;
  unit?: string;
  source: Source;
}>({
  apply(state, { hazard: id, ...done }, { id: eventId, at }) {
    const h = hazard(state, id);
    const cleared = clearGate(h, state.power, { ...done, at });
    return nextStop({
      ...state,
      ledger: parted(state, h.clear.unplugs, { id: eventId, at }),
      power: h.kind === 'mains' ? 'off' : state.power,
      hazards: state.hazards.map((s) => (s.id === id ? cleared : s)),
    });
  },
  says: (p, state) => {
    const name = state.map.hazards.find((h) => h.id === p.hazard)?.name ?? p.hazard;
    return p.reading === undefined
      ? `Gate up: ${name}`
      : `Gate up: ${name}, read ${formatReading(p.reading, p.unit ?? '')}`;
  },
});

export const gatePassed = kind<{ hazard: string; reason: string }>({
  apply(state, { hazard: id, reason }, { at }) {
    hazard(state, id);
    return nextStop({
      ...state,
      hazards: state.hazards.map((s) => (s.id === id ? passGate(s, reason, at) : s)),
    });
  },
  says: (p, state) =>
    `Gate passed against advice: ${state.map.hazards.find((h) => h.id === p.hazard)?.name ?? p.hazard}, because ${p.reason}`,
});
