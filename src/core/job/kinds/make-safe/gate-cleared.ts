import { clearGate, folded, partFirst, SOURCES } from '../../../hazard';
import { take, tally } from '../../../ledger';
import { demand } from '../../../refusal';
import { Name, oneOf, Type } from '../../../schema/words';
import type { Hazard } from '../../../unit';
import { formatReading, HAZARDS } from '../../../unit';
import { actLeft } from '../../act-left';
import { cameOff } from '../../came-off';
import { afterGate, hazardName, hazardOf } from '../../gate';
import { openAccess } from '../../open';
import { leadsNow, plugsOff } from '../../packs';
import { powerOff } from '../../power';
import { powerDownLeft } from '../../powering-down';
import type { JobState } from '../../state';
import { kind } from '../kind';

/** The tray after the act of a gate has parted plugs; one that is off already stays as it is. */
const parted = (state: JobState, plugs: string[], when: { id: string; at: string }) =>
  plugs.reduce((ledger, plug, k) => {
    const off = ledger.items.some(
      (i) => i.kind === 'plug' && folded(i.name) === folded(plug) && tally(i).off > 0,
    );
    if (off) return ledger;
    const item = {
      kind: 'plug' as const,
      name: plug,
      count: 1,
      place: { kind: 'left in the part' as const },
    };
    const id = k === 0 ? when.id : `${when.id}.${k}`;
    return take(
      ledger,
      { verb: 'unplug', text: `unplug ${plug}, contacts taped over`, item },
      { id, at: when.at },
    );
  }, state.ledger);

/** The cover that has to be off before the act of a gate can be done: it lies under it. */
function coverOverGate(state: JobState, h: Hazard): string | undefined {
  if (!h.clear.inside || !h.exposedBy?.length) return undefined;
  const open = openAccess(state);
  if (h.exposedBy.some((c) => open.includes(c))) return undefined;
  const [cover] = h.exposedBy;
  return state.map.access.find((a) => a.id === cover)?.name ?? cover;
}

/** A gate is up: its act is done and, where a reading can prove it, read. */
export const gateCleared = kind({
  type: 'gate.cleared',
  payload: {
    hazard: Name,
    acted: Type.Boolean(),
    reading: Type.Optional(Type.Number()),
    unit: Type.Optional(Name),
    source: oneOf(SOURCES),
    /** plugs that the act parted, in their order */
    leads: Type.Optional(Type.Array(Name, { maxItems: 20 })),
  },
  admit(state, { hazard, leads = [] }) {
    const h = hazardOf(state, hazard);
    const next = powerDownLeft(state)[0];
    const waits = h.armedBy?.includes('power') || HAZARDS[h.kind].isPack;
    demand(!waits || !next, next ? `First power it down the way it wants: ${next.text}` : '', '/hazard');
    const cover = coverOverGate(state, h);
    demand(!cover, `${h.name} lies under the ${cover}: take that off first`, '/hazard');
    const off = [...plugsOff(state)];
    for (const lead of leads) {
      const first = partFirst(state.map, { ...leadsNow(state), off }, lead);
      demand(!first, first ? `${first.plug} first: ${first.why}` : '', '/leads');
      off.push(lead);
    }
  },
  apply(state, { hazard, leads, ...done }, { id, at }) {
    const h = hazardOf(state, hazard);
    demand(done.acted, `First the act: ${actLeft(state, h)}`, '/acted');
    const cleared = clearGate(h, state.power, { ...done, at });
    const off = HAZARDS[h.kind].unplugsOutlet ? powerOff(state) : state;
    return afterGate({
      ...off,
      ledger: parted(state, leads ?? (h.clear.unplugs ? [h.clear.unplugs] : []), { id, at }),
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
