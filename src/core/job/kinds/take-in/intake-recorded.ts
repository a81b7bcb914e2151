import { firstHazards } from '../../../hazard';
import { demand } from '../../../refusal';
import { closed, Line, Name, oneOf, Type } from '../../../schema/words';
import { HAZARD_KINDS, hazardOfKind, mapFor, TELL_MUSTS, type UnitMap } from '../../../unit';
import { lostChecks } from '../../map-taken';
import { notRepeated } from '../../repeated';
import { AIM_WORDS, AIMS, type JobState, PATTERNS } from '../../state';
import { kind } from '../kind';

/**
 * The map as this unit is built. What was recorded already must still be on it: an answer to a check
 * that this variant does not have would hang in the air.
 */
function builtAs(state: JobState, variant: string | undefined): UnitMap {
  if (variant === state.intake?.variant) return state.map;
  const built = mapFor(state.whole, variant);
  const ids = new Set(built.hazards.map((h) => h.id));
  const noted = state.map.hazards.filter((h) => h.id.startsWith('noted ') && !ids.has(h.id));
  const asked = (state.map.parties ?? []).filter((p) => p.id.startsWith('noted '));
  const map = {
    ...built,
    ...(noted.length ? { hazards: [...built.hazards, ...noted] } : {}),
    ...(asked.length ? { parties: [...(built.parties ?? []), ...asked] } : {}),
  };
  const [lost] = lostChecks(state, map);
  demand(
    !lost,
    `“${lost}” is recorded already, and this variant does not have it. Undo it first`,
    '/variant',
  );
  demand(
    !state.plan?.element || map.elements.some((e) => e.id === state.plan?.element),
    `${state.plan?.element} is planned for, and this variant does not have it`,
    '/variant',
  );
  return map;
}

/** What the unit does wrong, as it comes to the bench. */
export const intakeRecorded = kind({
  type: 'intake.recorded',
  payload: {
    /** what it comes for; a fault when absent */
    aim: Type.Optional(oneOf(AIMS)),
    function: Name,
    alsoFails: Type.Optional(Type.Array(Name, { maxItems: 20 })),
    symptom: Line,
    pattern: oneOf(PATTERNS),
    since: Type.Optional(Line),
    variant: Type.Optional(Name),
    unitSays: Type.Optional(Line),
    causeKnown: Type.Optional(Type.Boolean()),
    keep: Type.Array(Line, { maxItems: 20 }),
    addParties: Type.Optional(Type.Array(closed({ who: Name, must: oneOf(TELL_MUSTS) }), { maxItems: 20 })),
    addHazards: Type.Optional(Type.Array(oneOf(HAZARD_KINDS), { maxItems: HAZARD_KINDS.length })),
  },
  // What a simulated unit comes in with belongs to what it hides.
  admit: (state) => demand(!state.practice || !state.intake, 'a practice unit is taken in already'),
  apply(state, { addHazards = [], addParties = [], ...intake }) {
    const fn = state.whole.functions.find((f) => f.id === intake.function);
    const { aim = 'fault' } = intake;
    demand(
      fn,
      aim === 'fault' ? 'say which function fails' : 'say which function it is to have afterwards',
      '/function',
    );
    (intake.alsoFails ?? []).forEach((id, k) => {
      demand(
        id !== intake.function && state.whole.functions.some((f) => f.id === id),
        `${id} is no other function of this unit`,
        `/alsoFails/${k}`,
      );
    });
    demand(
      intake.symptom.trim() !== '',
      aim === 'fault' ? 'say what it does wrong' : 'say what is to be done',
      '/symptom',
    );
    demand(
      intake.variant === undefined || state.whole.variants?.some((v) => v.id === intake.variant),
      `${intake.variant} is no variant of this unit`,
      '/variant',
    );
    const map = builtAs(state, intake.variant);
    demand(
      map.functions.some((f) => f.id === intake.function),
      'this variant has no such function',
      '/function',
    );
    const known = new Set(map.hazards.map((h) => h.kind));
    const covers = map.access.map((a) => a.id);
    const added = [...new Set(addHazards)]
      .filter((k) => !known.has(k))
      .map((k) => hazardOfKind(k, `noted ${k}`, covers));
    const hazards = [...map.hazards, ...added];
    const parties = [...(map.parties ?? [])];
    for (const p of addParties)
      if (!parties.some((x) => x.who.toLowerCase() === p.who.trim().toLowerCase()))
        parties.push({ id: `noted ${p.who.trim()}`, who: p.who.trim(), must: p.must });
    const had = new Map(state.hazards.map((h) => [h.id, h]));
    return {
      ...state,
      intake: {
        ...intake,
        symptom: intake.symptom.trim(),
        keep: intake.keep.map((k) => k.trim()).filter(Boolean),
        ...(state.intake?.weighed ? { weighed: state.intake.weighed } : {}),
      },
      map: { ...map, ...(added.length ? { hazards } : {}), ...(parties.length ? { parties } : {}) },
      hazards: firstHazards(hazards).map((h) => had.get(h.id) ?? h),
      stop: aim === 'fault' ? 'trace' : 'plan',
    };
  },
  says: (p) =>
    p.aim && p.aim !== 'fault'
      ? `Taken in for ${AIM_WORDS[p.aim]}: “${p.symptom}”`
      : `Taken in: “${p.symptom}”, ${p.pattern}`,
  reports(
    { aim = 'fault', symptom, pattern, since, alsoFails, unitSays, variant, keep },
    state,
    _meta,
    { later },
  ) {
    if (later.length) return [];
    const under = 'Taken in' as const;
    const built = state.map.variants?.find((v) => v.id === variant)?.name ?? variant;
    return [
      {
        under,
        at: state.openedAt,
        text:
          aim === 'fault'
            ? `“${symptom.trim()}”, ${pattern}${since ? `, since ${since}` : ''}`
            : `For ${AIM_WORDS[aim]}: “${symptom.trim()}”`,
      },
      ...(alsoFails ?? []).map((id) => ({
        under,
        text: `Fails with it: ${state.map.functions.find((f) => f.id === id)?.name ?? id}`,
      })),
      ...(unitSays ? [{ under, text: `The unit itself said: ${unitSays}` }] : []),
      ...(built ? [{ under, text: `Built as: ${built}` }] : []),
      ...keep.filter((k) => k.trim()).map((k) => ({ under, text: `Not to be lost: ${k.trim()}` })),
      ...notRepeated(state, null),
    ];
  },
  whileParked: 'wakes',
});
