import type { UnitMap } from '../map';
import { type MapCheck, reach } from './check';

/** Chance that bending a faulty cable shows the fault at once. Common practice, no source. */
const FLEX_SHOWS = 0.85;
const FLEX_MINUTES = 2;
const CONTINUITY_MINUTES = 3;

const cables = (map: UnitMap) => map.elements.filter((e) => e.kind === 'cable');

/** Bending each cable while the fault is watched. */
export const flexChecks = (map: UnitMap): MapCheck[] =>
  cables(map).map((e) => ({
    id: `flex:${e.id}`,
    how: 'flex',
    title: `Flex ${e.id} while it runs`,
    about: e.name,
    ok: 'nothing changes',
    bad: 'comes and goes',
    why: `If the fault comes and goes with it, ${e.id} or its ends are the fault.`,
    trace: {
      id: `flex:${e.id}`,
      exercises: [e.id],
      provokes: { [e.id]: FLEX_SHOWS },
      minutes: FLEX_MINUTES,
      power: 'on',
      ...reach(e.touch ?? e.needs),
    },
  }));

/** Continuity of each cable, end to end, with the power off. */
export const continuityChecks = (map: UnitMap): MapCheck[] =>
  cables(map).map((e) => ({
    id: `continuity:${e.id}`,
    how: 'continuity',
    title: `Continuity of ${e.id}`,
    about: `${e.name}, end to end`,
    ok: 'every core passes',
    bad: 'a core is open',
    why: `An open core in ${e.id} is found with the power off; a core that only opens when moved may pass.`,
    trace: {
      id: `continuity:${e.id}`,
      exercises: [e.id],
      minutes: CONTINUITY_MINUTES,
      power: 'off',
      ...reach(e.needs),
    },
  }));
