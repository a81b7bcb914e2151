import { arm, chargeHolds, firstLeadOf, holding, partFirst, workOf } from '../../hazard';
import {
  alter,
  type BackState,
  backWords,
  countItem,
  coverOf,
  giveBack,
  holds as holdsFrom,
  type Item,
  type ItemDraft,
  lengthSeen,
  miss,
  noteBack,
  type Place,
  placeWords,
  prove,
  specOf,
  stash,
  take,
  takeAgain,
  tally,
  tooLong,
  unmeasuredTwin,
  writeOff,
} from '../../ledger';
import { demand } from '../../refusal';
import { tighten } from '../../tighten';
import { holesOf, type WayBackNote } from '../../unit';
import { openAccess } from '../open';
import type { Holes, JobState } from '../state';
import { kind } from './kind';

/**
 * Stops a hand that would reach what is live: hazards bared now, or by the cover about to come off.
 *
 * @throws Refusal naming the hazard and what to do
 */
export function handsIn(state: JobState, cover?: string, plug?: string): void {
  const held = holding(state.map.hazards, state.hazards, openAccess(state), cover);
  const h = held.find((x) => plug === undefined || x.clear.unplugs !== plug);
  demand(!h, h ? `Held by ${h.name}, ${h.detail}. ${h.clear.act}, in Make safe` : '', '/item');
}

const item = (state: JobState, id: string) => state.ledger.items.find((i) => i.id === id);
const spec = (state: JobState, id: string) => {
  const i = item(state, id);
  return i ? specOf(i) : 'a thing';
};

/**
 * Heat and levers wait for the packs, and a plug for the one that is parted before it.
 *
 * @throws Refusal naming what holds it
 */
function waits(
  state: JobState,
  move: { verb: string; text: string; item: ItemDraft | null; move?: string },
): void {
  const recipe = state.map.moves?.find((m) => m.id === move.move);
  const work = recipe?.works ?? workOf(move.verb, move.text);
  const gone = state.out ? [state.out.element] : [];
  const full = work ? chargeHolds(state.map.hazards, state.charges, gone)[0] : undefined;
  demand(
    !full,
    full ? `No ${work === 'heat' ? 'heat' : 'lever'} yet: ${full.hazard.name}, ${full.why}. Make safe` : '',
    '/item',
  );
  if (move.item?.kind !== 'plug') return;
  const rule = state.firstLead === 'no rule' ? null : (state.firstLead ?? firstLeadOf(state.map));
  const off = state.ledger.items.filter((i) => i.kind === 'plug' && tally(i).off > 0).map((i) => i.name);
  const first = partFirst(state.map, rule, state.hazards, move.item.name, off, openAccess(state));
  demand(!first, first ? `${first.plug} first: ${first.why}` : '', '/item');
}

/** Covers that lie over a cover of the map, or over its screws; undefined where the map does not say. */
function liesUnder(state: JobState, cover: string | undefined, from: string | undefined) {
  const at = state.map.access.find((a) => a.id === cover || holdsFrom(from, a));
  if (!at) return undefined;
  const over = new Set<string>();
  const add = (id: string) => {
    for (const n of state.map.access.find((a) => a.id === id)?.needs ?? []) {
      if (over.has(n)) continue;
      over.add(n);
      add(n);
    }
  };
  add(at.id);
  return [...over];
}

const subUnitOf = (state: JobState) => state.subUnits.find((u) => !u.leftAt);

export const moveRecorded = kind<{
  verb: string;
  text: string;
  item: ItemDraft | null;
  sideUp?: string;
  /** move of the unit's recipe that this was */
  move?: string;
}>({
  admit: waits,
  apply(state, { move: recipe, ...move }, { id, at }) {
    demand(
      recipe === undefined || state.map.moves?.some((m) => m.id === recipe),
      `${recipe} is no move of this unit’s way in`,
      '/move',
    );
    const cover = move.item?.kind === 'part' ? coverOf(move.item.name, state.map.access) : undefined;
    if (move.item && (cover || state.ledger.covers.length > 0))
      handsIn(state, cover, move.item.kind === 'plug' ? move.item.name : undefined);
    const within = subUnitOf(state)?.id;
    const under = liesUnder(state, cover, move.item?.kind === 'fastener' ? move.item.from : undefined);
    const taken = take(
      state.ledger,
      {
        ...move,
        ...(cover ? { cover } : {}),
        ...(within ? { within } : {}),
        ...(under ? { under } : {}),
      },
      { id, at },
    );
    const known = state.map.moves?.find((m) => m.id === recipe);
    const ledger = known?.back && move.item ? noteBack(taken, id, known.back) : taken;
    const waits = known?.handsOff ? [{ id, what: known.text, startedAt: at, minutes: known.handsOff }] : [];
    const early = state.stop === 'take in' || state.stop === 'trace';
    return {
      ...state,
      ledger,
      ...(recipe ? { followed: [...state.followed, recipe] } : {}),
      ...(waits.length ? { timers: [...state.timers, ...waits] } : {}),
      stop: early || state.fix ? state.stop : 'open up',
    };
  },
  says: (p) =>
    p.item
      ? `${p.verb} ${p.item.count === null ? 'several' : p.item.count} × ${specOf(p.item)}, kept ${placeWords(p.item.place)}`
      : `Flipped, ${p.sideUp} up`,
});

export const itemReturned = kind<{ item: string; count: number; state: BackState }>({
  admit(state, p) {
    const i = item(state, p.item);
    if (i?.kind !== 'fastener') return;
    const cover = state.ledger.covers.find((c) => i.from && holdsFrom(i.from, c));
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
    const i = item(state, p.item);
    if (i && i.kind !== 'fastener' && !i.cover) handsIn(state);
    const hazards =
      i && i.kind === 'plug' ? arm(state.map.hazards, state.hazards, i.name, at) : state.hazards;
    const ledger = giveBack(state.ledger, p.item, p.count, p.state);
    const home = ledger.items.find((x) => x.id === p.item);
    const cures = home && tally(home).off === 0 ? home.back?.cureMinutes : undefined;
    return {
      ...state,
      hazards,
      ledger,
      ...(cures
        ? {
            timers: [
              ...state.timers,
              { id, what: `${specOf(home as Item)} cures`, startedAt: at, minutes: cures },
            ],
          }
        : {}),
      stop: state.fix ? 'close up' : state.stop,
    };
  },
  says: (p, state) => `${p.count} × ${spec(state, p.item)} ${p.state}`,
});

export const itemTaken = kind<{ item: string; count: number }>({
  apply(state, p) {
    const i = item(state, p.item);
    if (i && i.kind !== 'fastener') handsIn(state, i.cover);
    return { ...state, ledger: takeAgain(state.ledger, p.item, p.count) };
  },
  says: (p, state) => `${p.count} × ${spec(state, p.item)} off again`,
});

export const itemProven = kind<{ item: string; how: string }>({
  apply: (state, p, { at }) => ({ ...state, ledger: prove(state.ledger, p.item, p.how, at) }),
  says: (p, state) => `${spec(state, p.item)} proven: ${p.how}`,
});

export const itemCounted = kind<{ item: string; count: number }>({
  apply: (state, p) => ({ ...state, ledger: countItem(state.ledger, p.item, p.count) }),
  says: (p, state) => `Counted: ${p.count} × ${spec(state, p.item)}`,
});

export const itemWrittenOff = kind<{ item: string; count: number; reason: string; replacement: string }>({
  apply: (state, p) => ({ ...state, ledger: writeOff(state.ledger, p.item, p) }),
  says: (p, state) =>
    `${p.count} × ${spec(state, p.item)} written off, ${p.reason}; in its place ${p.replacement}`,
});

export const itemMissed = kind<{ item: string; count: number }>({
  apply: (state, p) => ({ ...state, ledger: miss(state.ledger, p.item, p.count) }),
  says: (p, state) =>
    p.count ? `${p.count} × ${spec(state, p.item)} missing` : `${spec(state, p.item)} found`,
});

export const itemStashed = kind<{ item: string; place: Place }>({
  apply: (state, p) => ({ ...state, ledger: stash(state.ledger, p.item, p.place) }),
  says: (p, state) => `${spec(state, p.item)} kept ${placeWords(p.place)}`,
});

export const itemAltered = kind<{ item: string; what: string }>({
  apply: (state, p) => ({ ...state, ledger: alter(state.ledger, p.item, p.what) }),
  says: (p, state) => `${spec(state, p.item)} altered: ${p.what}`,
});

/** Where the screws of a lid sit, so that they can be drawn and tightened in order. */
export const holesPlaced = kind<{ item: string } & Holes>({
  apply(state, { item: id, points, lid }) {
    const i = item(state, id);
    demand(i?.kind === 'fastener', 'only fasteners have holes', '/item');
    demand(
      i.count === null || points.length === i.count,
      `there are ${i.count} of them and ${points.length} holes`,
      '/points',
    );
    tighten({ points: points.map((p, k) => ({ id: String(k + 1), ...p })), lid });
    return { ...state, holes: { ...state.holes, [id]: { points, lid } } };
  },
  says: (p, state) => `Holes of ${spec(state, p.item)} placed`,
});

/** One piece laid on the rule before the first of its kind goes in. */
export const lengthChecked = kind<{ item: string; measuredMm: number }>({
  apply: (state, p, { at }) => ({ ...state, ledger: lengthSeen(state.ledger, p.item, p.measuredMm, at) }),
  says: (p, state) => `${spec(state, p.item)} laid on the rule: ${p.measuredMm}\u00a0mm`,
});

/** What is different when this goes back: a new one, a torque, a sealant, slack, a guide. */
export const wayBackNoted = kind<{ item: string } & WayBackNote>({
  apply: (state, { item: id, ...back }) => ({ ...state, ledger: noteBack(state.ledger, id, back) }),
  says: (p, state) => `On the way back, ${spec(state, p.item)}: ${backWords(p)}`,
});
