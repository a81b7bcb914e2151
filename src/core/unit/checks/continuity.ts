import { checkKind, reach } from './check';

const CONTINUITY_MINUTES = 3;

/** Continuity of each cable, end to end, with the power off. */
export const continuity = checkKind({
  hows: { continuity: 'Continuity' },
  repeated: true,
  derive: (map) =>
    map.elements
      .filter((e) => e.kind === 'cable')
      .map((e) => ({
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
      })),
});
