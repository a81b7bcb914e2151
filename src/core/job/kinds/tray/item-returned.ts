import { arm, belongsTo, plugFirst } from '../../../hazard';
import {
  BACK_STATES,
  giveBack,
  holds,
  onceSaid,
  specOf,
  tally,
  tooLong,
  unmeasuredTwin,
} from '../../../ledger';
import { demand } from '../../../refusal';
import { Count, Line, oneOf, Type } from '../../../schema/words';
import { HAZARDS, holesOf } from '../../../unit';
import { itemOf, itemSpec } from '../../came-off';
import { handsIn } from '../../hands-in';
import { demandDry, mayUse, using } from '../../in-use';
import { outsOf } from '../../opening';
import { leadsNow, packsNamed } from '../../packs';
import type { JobState } from '../../state';
import { withTimer } from '../../timing';
import { isSwollenPack } from '../../waits';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Whether a thing of the tray is a battery that came out to be replaced, in hand or beside it. */
function isOldBattery(state: JobState, item: string): boolean {
  const element = outsOf(state).find((o) => o.item === item)?.element;
  return state.map.elements.find((e) => e.id === element)?.kind === 'battery';
}

/** Some of a thing goes back, so far. */
export const itemReturned = kind({
  type: 'item.returned',
  payload: {
    item: ItemId,
    count: Count,
    state: oneOf(BACK_STATES),
    /** for what is new every time: what went in, or why the old one did */
    once: Type.Optional(Line),
  },
  admit(state, p) {
    const i = itemOf(state, p.item);
    if (!i) return;
    demand(
      !i.back?.fresh || i.fresh || i.once || p.once,
      `${specOf(i)} is new every time: say that new ones went in, or why the old ones did`,
      '/once',
    );
    if (i.kind !== 'fastener') {
      if (i.joint === 'solder joint') mayUse(state, 'solder', i.name);
      if (state.map.hazards.some((h) => HAZARDS[h.kind].isPack && belongsTo(state.map, h, i.name)))
        demandDry(state, '/item');
      if (!i.cover) handsIn(state, { thing: i.name, plug: i.kind === 'plug', back: true });
      demand(
        !isSwollenPack(state, i.name) || i.kind !== 'part',
        `${i.name} is swollen: it is not fitted again. Write it off`,
        '/item',
      );
      demand(
        !i.old || !(packsNamed(state, i.name).length > 0 || isOldBattery(state, i.id)),
        `${i.name} was taken out: a pack that was out is not fitted again`,
        '/item',
      );
      const first = i.kind === 'plug' ? plugFirst(state.map, leadsNow(state), i.name) : null;
      demand(!first, first ? `${first.plug} first: ${first.why}` : '', '/item');
      return;
    }
    const cover = state.ledger.covers.find((c) => i.from && holds(i.from, c));
    const long = tooLong(i, cover ? holesOf(state.map.faces, cover.id) : []);
    demand(!long, long ?? '', '/item');
    const twin = unmeasuredTwin(state.ledger.items, i);
    demand(
      !twin,
      twin ? `Lay one on the rule first: ${specOf(i)} and ${specOf(twin)} look alike` : '',
      '/item',
    );
  },
  apply(state, p, { id, at }) {
    const i = itemOf(state, p.item);
    const hazards =
      i && i.kind !== 'fastener' && !i.cover ? arm(state.map, state.hazards, i.name, at) : state.hazards;
    const given = giveBack(state.ledger, p.item, p.count, p.state);
    const ledger = p.once ? onceSaid(given, p.item, p.once) : given;
    const next: JobState = {
      ...state,
      hazards,
      ledger,
      // The old part goes back after all.
      // Its tape came off with that: off again, it is bare again.
      taped: state.taped.filter((t) => t !== p.item),
      ...(state.out?.item === p.item ? { out: null } : {}),
      outBeside: state.outBeside.filter((o) => o.item !== p.item),
      stop: state.fix ? 'close up' : state.stop,
    };
    // What is soldered on leaves the iron hot.
    const used = i?.joint === 'solder joint' ? using(next, { verb: 'solder', text: '' }, { id, at }) : next;
    const home = ledger.items.find((x) => x.id === p.item);
    const cures = home && tally(home).off === 0 ? home.back?.cureMinutes : undefined;
    return home && cures
      ? withTimer(used, { id, what: `${specOf(home)} cures`, startedAt: at, minutes: cures })
      : used;
  },
  says: (p, state) => `${p.count} × ${itemSpec(state, p.item)} ${p.state}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
