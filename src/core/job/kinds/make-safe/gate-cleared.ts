import { clearGate, SOURCES } from '../../../hazard';
import { take, tally } from '../../../ledger';
import { demand } from '../../../refusal';
import { Name, oneOf, Type } from '../../../schema/words';
import { formatReading, HAZARDS } from '../../../unit';
import { cameOff } from '../../came-off';
import { afterGate, hazardName, hazardOf } from '../../gate';
import { powerOff } from '../../power';
import { powerDownLeft } from '../../powering-down';
import type { JobState } from '../../state';
import { kind } from '../kind';

/** The tray after the act of a gate has parted a plug; a plug that is off already stays as it is. */
const parted = (state: JobState, plug: string | undefined, when: { id: string; at: string }) => {
  const off = state.ledger.items.some((i) => i.kind === 'plug' && i.name === plug && tally(i).off > 0);
  if (!plug || off) return state.ledger;
  const item = { kind: 'plug' as const, name: plug, count: 1, place: { kind: 'left in the part' as const } };
  return take(state.ledger, { verb: 'unplug', text: `unplug ${plug}, contacts taped over`, item }, when);
};

/** A gate is up: its act is done and, where a reading can prove it, read. */
export const gateCleared = kind({
  type: 'gate.cleared',
  payload: {
    hazard: Name,
    acted: Type.Boolean(),
    reading: Type.Optional(Type.Number()),
    unit: Type.Optional(Name),
    source: oneOf(SOURCES),
  },
  admit(state, { hazard }) {
    const next = powerDownLeft(state)[0];
    const armed = hazardOf(state, hazard).armedBy?.includes('power');
    demand(!armed || !next, next ? `First power it down the way it wants: ${next.text}` : '', '/hazard');
  },
  apply(state, { hazard, ...done }, { id, at }) {
    const h = hazardOf(state, hazard);
    const cleared = clearGate(h, state.power, { ...done, at });
    const off = HAZARDS[h.kind].unplugsOutlet ? powerOff(state) : state;
    return afterGate({
      ...off,
      ledger: parted(state, h.clear.unplugs, { id, at }),
      hazards: state.hazards.map((s) => (s.id === hazard ? cleared : s)),
    });
  },
  says: (p, state) => {
    const name = hazardName(state, p.hazard);
    return p.reading === undefined
      ? `Gate up: ${name}`
      : `Gate up: ${name}, read ${formatReading(p.reading, p.unit ?? '')}`;
  },
  reports({ hazard, reading, unit, source }, state, { id, at }) {
    const act = state.map.hazards.find((x) => x.id === hazard)?.clear.act ?? 'cleared';
    return [
      {
        under: 'Made safe',
        at,
        text: `${hazardName(state, hazard)}: ${act}`,
        ...(reading === undefined
          ? {}
          : { result: `read ${formatReading(reading, unit ?? '')} by ${source}` }),
      },
      ...cameOff(state, id),
    ];
  },
  whileParked: 'wakes',
});
