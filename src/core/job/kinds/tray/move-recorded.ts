import { backWords, coverOf, holds, noteBack, placeWords, sideUpWords, specOf, take } from '../../../ledger';
import { demand } from '../../../refusal';
import { Line, Name, Type } from '../../../schema/words';
import type { UnitMap } from '../../../unit';
import { coversOver } from '../../../unit';
import { bareEnds, taped } from '../../bare-ends';
import { cameOff } from '../../came-off';
import { demandOpening } from '../../cover-held';
import { handsIn } from '../../hands-in';
import { mayUse, using } from '../../in-use';
import { jointed } from '../../joint-of';
import { isPlannedPart, markOld } from '../../old-part';
import { openAccess } from '../../open';
import { planNamed } from '../../opening';
import type { JobState } from '../../state';
import { withTimer } from '../../timing';
import { waits } from '../../waits';
import { kind } from '../kind';
import { ItemDraftSchema } from './draft-schema';

/** Covers that lie over a cover of the map, or over its screws; undefined where the map does not say. */
function liesUnder(state: JobState, cover: string | undefined, from: string | undefined) {
  const at = state.map.access.find((a) => a.id === cover || holds(from, a));
  return at ? coversOver(state.map.access, at.needs) : undefined;
}

/** A cover met at the bench is a cover of the map from then on, under those that are off now. */
function withCover(state: JobState, id: string, name: string): JobState {
  if (state.map.access.some((a) => a.id === id)) return state;
  const needs = openAccess(state);
  const met = { id, name, minutes: MET_MINUTES, ...(needs.length ? { needs } : {}) };
  const on = (map: UnitMap): UnitMap => ({ ...map, access: [...map.access, met] });
  return { ...state, map: on(state.map), whole: on(state.whole) };
}

/** A move, as the line says it. */
export const MOVE = {
  verb: Name,
  text: Line,
  item: Type.Union([ItemDraftSchema, Type.Null()]),
  sideUp: Type.Optional(Name),
  /** what a move that takes nothing off was done to */
  on: Type.Optional(Name),
  minutes: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 20_160 })),
  tool: Type.Optional(Name),
  note: Type.Optional(Line),
};

/** Minutes of a cover that nobody has timed. Common practice, no source. */
const MET_MINUTES = 3;

/** A move on the way in: what came off and where it lies, or which side is up now. */
export const moveRecorded = kind({
  type: 'move.recorded',
  payload: {
    ...MOVE,
    /** move of the unit's recipe that this was */
    move: Type.Optional(Name),
    /** it is the planned part: with this it is out */
    out: Type.Optional(Type.Boolean()),
  },
  admit(state, move) {
    waits(state, move);
    mayUse(state, move.verb, move.text);
    const { item } = move;
    if (!item) return;
    const [bare] = item.kind === 'plug' || item.kind === 'part' ? bareEnds(state) : [];
    demand(!bare, bare ? `First tape over the bare end of ${bare.name}: tape ${bare.name}` : '', '/item');
    const cover = item.kind === 'part' ? coverOf(item.name, state.map.access) : undefined;
    if (cover || state.ledger.covers.length > 0 || item.kind !== 'fastener') demandOpening(state, cover);
    if (item.kind === 'fastener' && state.ledger.covers.length === 0) return;
    const thing = item.kind === 'fastener' ? item.from : item.name;
    handsIn(state, { cover, thing, plug: item.kind === 'plug' });
  },
  apply(state, { move: recipe, out, minutes, tool: _tool, note, ...said }, { id, at }) {
    const move = said.item ? { ...said, item: jointed(state, said.verb, said.item) } : said;
    const known = state.map.moves?.find((m) => m.id === recipe);
    demand(recipe === undefined || known, `${recipe} is no move of this unit’s way in`, '/move');
    const cover = move.item?.kind === 'part' ? coverOf(move.item.name, state.map.access) : undefined;
    const within = state.subUnits.find((u) => !u.leftAt)?.id;
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
    const words = [known?.back?.note, note].filter(Boolean).join('; ');
    const back = { ...known?.back, ...(words ? { note: words } : {}) };
    const ledger =
      backWords(back) && taken.items.some((i) => i.id === id) ? noteBack(taken, id, back) : taken;
    const early = state.stop === 'take in' || state.stop === 'trace';
    const isOld = out === true && isPlannedPart(state, move.item);
    const element = isOld ? (planNamed(state, move.item?.name ?? '')?.element ?? '') : '';
    const inHand = state.plan?.element === element;
    const next: JobState = {
      ...(cover ? withCover(state, cover, move.item?.name ?? cover) : state),
      ledger: isOld ? markOld(ledger, id) : ledger,
      ...(isOld && inHand ? { out: { element, item: id } } : {}),
      ...(isOld && !inHand ? { outBeside: [...state.outBeside, { element, item: id }] } : {}),
      ...(recipe ? { followed: [...state.followed, recipe] } : {}),
      stop: isOld && inHand ? 'swap' : early || state.fix ? state.stop : 'open up',
    };
    const used = using(said.verb === 'tape' ? taped(next, said.on) : next, said, { id, at });
    const timed = known?.handsOff ?? minutes;
    return timed
      ? withTimer(used, { id, what: known?.text ?? said.text, startedAt: at, minutes: timed })
      : used;
  },
  says: (p) =>
    p.item
      ? `${p.verb} ${p.item.count === null ? 'several' : p.item.count} × ${specOf(p.item)}, kept ${placeWords(p.item.place)}`
      : p.sideUp
        ? `Flipped, ${sideUpWords(p.sideUp)}`
        : [p.verb, p.on, p.minutes === undefined ? '' : `${p.minutes}\u00a0min`].filter(Boolean).join(' '),
  reports: (_p, state, { id }) => cameOff(state, id),
  whileParked: 'wakes',
});
