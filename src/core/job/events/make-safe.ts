import { type ChemistryRow, checkChemistry } from '../../chemistry';
import { arm, chargeOf, clearGate, holding, passGate, type Source } from '../../hazard';
import { take, tally } from '../../ledger';
import { demand } from '../../refusal';
import { FIRST_LEADS, type FirstLead, formatReading } from '../../unit';
import { openAccess } from '../open';
import type { JobState } from '../state';
import { kind } from './kind';

const hazard = (state: JobState, id: string) => {
  const h = state.map.hazards.find((x) => x.id === id);
  demand(h, `${id} is no hazard of this unit`, '/hazard');
  return h;
};

/**
 * Steps of the unit's own way to power down that are still to be done; none once it is off that way,
 * or was passed over with a reason.
 */
export function powerDownLeft(state: JobState) {
  if (state.poweredDown.passed) return [];
  return (state.map.powerDown ?? []).filter((s) => !state.poweredDown.done.includes(s.id));
}

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
    return {
      ...state,
      power,
      hazards: arm(state.map.hazards, state.hazards, 'power', at),
      // A unit that has run may have charged its pack, and has to be powered down anew.
      charges: {},
      poweredDown: { done: [] },
    };
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
  admit(state, { hazard: id }) {
    const next = powerDownLeft(state)[0];
    const armed = hazard(state, id).armedBy?.includes('power');
    demand(!armed || !next, next ? `First power it down the way it wants: ${next.text}` : '', '/hazard');
  },
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

export const powerDownDone = kind<{ step: string }>({
  apply(state, { step }) {
    const next = powerDownLeft(state)[0];
    demand(next, 'it is powered down already', '/step');
    demand(next.id === step, `${next.text} comes first`, '/step');
    return { ...state, poweredDown: { done: [...state.poweredDown.done, step] } };
  },
  says: (p, state) => `Powered down: ${state.map.powerDown?.find((s) => s.id === p.step)?.text ?? p.step}`,
});

/** The unit's own way to power down cannot be gone, mostly because it is dead. */
export const powerDownPassed = kind<{ reason: string }>({
  apply(state, { reason }, { at }) {
    demand(powerDownLeft(state).length > 0, 'nothing is left of the powering down', '/reason');
    demand(reason.trim().length >= 8, 'say why in a few words: it stays in the report', '/reason');
    return { ...state, poweredDown: { ...state.poweredDown, passed: { reason: reason.trim(), at } } };
  },
  says: (p) => `Not powered down its own way, because ${p.reason}`,
});

/** How full a pack is, before heat or a lever comes near it: its rest voltage, or its own word. */
export const chargeRead = kind<{
  hazard: string;
  volts?: number;
  percent?: number;
  /** the chemistry row in force, where it is not the one shipped, and its version */
  row?: ChemistryRow;
  chemistry?: number;
  source: Source;
}>({
  apply(state, { hazard: id, volts, percent, row, chemistry, source }, { at }) {
    const h = hazard(state, id);
    demand(
      (volts === undefined) !== (percent === undefined),
      'give the voltage at rest, or the percent the unit says',
      '/volts',
    );
    if (volts !== undefined) {
      demand(volts > 0, 'a pack reads over 0 V', '/volts');
      if (row) checkChemistry([row]);
      const { high } = chargeOf(h, volts, row);
      const read = { percent: high, volts, source, at, ...(chemistry ? { chemistry } : {}) };
      return { ...state, charges: { ...state.charges, [id]: read } };
    }
    demand(h.charge, `nothing says how full ${h.name} may be`, '/hazard');
    demand(percent !== undefined && percent >= 0 && percent <= 100, 'percent lies in 0 to 100', '/percent');
    return { ...state, charges: { ...state.charges, [id]: { percent, source, at } } };
  },
  says: (p, state) => {
    const name = state.map.hazards.find((h) => h.id === p.hazard)?.name ?? p.hazard;
    return p.volts === undefined
      ? `${name}: ${p.percent}\u00a0% full, by ${p.source}`
      : `${name} at rest: ${formatReading(p.volts, 'V')}`;
  },
});

export const leadRuleChosen = kind<{ rule: FirstLead | 'no rule' }>({
  apply(state, { rule }) {
    demand(rule === 'no rule' || FIRST_LEADS.includes(rule), `${rule} is no such rule`, '/rule');
    return { ...state, firstLead: rule };
  },
  says: (p) => `First lead: ${p.rule}`,
});
