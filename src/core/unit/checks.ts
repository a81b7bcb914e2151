import type { TraceCheck } from '../trace';
import { cone } from './cone';
import type { Hazard, Tap, UnitMap } from './map';

export type CheckHow = 'symptom' | 'look' | 'listen' | 'measure' | 'flex' | 'continuity';

/** A check as a technician reads it, with the part that the computation reads. */
export interface MapCheck {
  id: string;
  how: CheckHow;
  /** short: "Measure at TP5" */
  title: string;
  /** what that point or part is: "left drive in" */
  about: string;
  /** what each answer would say */
  ok: string;
  bad: string;
  /** why it tells something, one sentence */
  why: string;
  tap?: Tap;
  trace: TraceCheck;
}

/** Chance that bending a faulty cable shows the fault at once. Common practice, no source. */
const FLEX_SHOWS = 0.85;
const FLEX_MINUTES = 2;
const CONTINUITY_MINUTES = 3;

const list = (ids: string[]) =>
  ids.length > 1 ? `${ids.slice(0, -1).join(', ')} or ${ids.at(-1)}` : (ids[0] ?? '');

const reach = (needs: string[] | undefined) => (needs?.length ? { needs } : {});

function tapCheck(map: UnitMap, tap: Tap): MapCheck {
  const before = cone(map, tap.after);
  const after = map.elements.map((e) => e.id).filter((id) => !before.includes(id));
  const verb = { look: 'Look', listen: 'Listen', measure: 'Measure' }[tap.how];
  return {
    id: `tap:${tap.id}`,
    how: tap.how,
    title: `${verb} at ${tap.id}`,
    about: tap.name,
    ok: tap.how === 'measure' ? 'in range' : 'as it should be',
    bad: tap.how === 'measure' ? 'out of range' : 'not as it should be',
    why: after.length
      ? `Good here clears ${list(before)}; bad here clears ${list(after)}.`
      : `Everything up to ${tap.after} has to work for this.`,
    tap,
    trace: {
      id: `tap:${tap.id}`,
      exercises: before,
      minutes: tap.minutes,
      ...reach(tap.needs),
      ...(tap.power ? { power: tap.power } : {}),
    },
  };
}

/**
 * The checks that follow from a map by themselves: the function as the user sees it, a look, listen
 * or reading at each tap (exercising the cone upstream of it), bending each cable while the fault is
 * watched, and continuity of each cable with the power off.
 *
 * @param map a valid map
 * @returns checks with words and with what they exercise; minutes
 * @example deriveChecks(map).map((c) => c.id) // ['symptom:left', 'tap:TP2', 'flex:W4', …]
 */
export function deriveChecks(map: UnitMap): MapCheck[] {
  const symptoms = map.functions.map((f): MapCheck => {
    const exercises = cone(map, f.output);
    return {
      id: `symptom:${f.id}`,
      how: 'symptom',
      title: `Try: ${f.name.charAt(0).toLowerCase()}${f.name.slice(1)}`,
      about: 'as the user finds it',
      ok: 'works',
      bad: 'fails',
      why: `Everything from the source to ${f.output} has to work for this.`,
      trace: { id: `symptom:${f.id}`, exercises, minutes: 1, power: 'on' },
    };
  });
  const cables = map.elements.filter((e) => e.kind === 'cable');
  const flex = cables.map((e): MapCheck => {
    const id = `flex:${e.id}`;
    return {
      id,
      how: 'flex',
      title: `Flex ${e.id} while it runs`,
      about: e.name,
      ok: 'nothing changes',
      bad: 'comes and goes',
      why: `If the fault comes and goes with it, ${e.id} or its ends are the fault.`,
      trace: {
        id,
        exercises: [e.id],
        provokes: { [e.id]: FLEX_SHOWS },
        minutes: FLEX_MINUTES,
        power: 'on',
        ...reach(e.touch ?? e.needs),
      },
    };
  });
  const continuity = cables.map((e): MapCheck => {
    const id = `continuity:${e.id}`;
    return {
      id,
      how: 'continuity',
      title: `Continuity of ${e.id}`,
      about: `${e.name}, end to end`,
      ok: 'every core passes',
      bad: 'a core is open',
      why: `An open core in ${e.id} is found with the power off; a core that only opens when moved may pass.`,
      trace: {
        id,
        exercises: [e.id],
        minutes: CONTINUITY_MINUTES,
        power: 'off',
        ...reach(e.needs),
      },
    };
  });
  return [...symptoms, ...map.taps.map((t) => tapCheck(map, t)), ...flex, ...continuity];
}

/**
 * Hazards that a check brings the hand near: those of the whole unit and those bared by a cover the
 * check needs, when the power must be on for it.
 *
 * @param map a valid map
 * @param check one of {@link deriveChecks}
 * @returns hazards, in the order of the map
 * @example hazardsOf(map, check).map((h) => h.name) // ['Mains']
 */
export function hazardsOf(map: UnitMap, check: MapCheck): Hazard[] {
  if (check.trace.power !== 'on') return [];
  const needed = new Set(check.trace.needs ?? []);
  for (const id of needed) for (const n of map.access.find((a) => a.id === id)?.needs ?? []) needed.add(n);
  return map.hazards.filter((h) => h.exposedBy?.some((a) => needed.has(a)));
}
