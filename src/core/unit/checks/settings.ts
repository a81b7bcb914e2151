import { checkKind, reach } from './check';

/** Minutes to look at a switch or a menu line. Common practice, no source. */
const LOOK_MINUTES = 0.5;

/** A look at each setting and interlock that no tap shows: what only looks like a fault is the cheapest to rule out. */
export const settings = checkKind({
  hows: { setting: 'Settings and interlocks' },
  repeated: true,
  derive: (map) =>
    map.elements
      .filter((e) => e.kind === 'setting' && !map.taps.some((t) => t.after === e.id))
      .map((e) => ({
        id: `setting:${e.id}`,
        how: 'setting',
        title: `Look at ${e.id}`,
        about: e.name,
        ok: 'as it should be',
        bad: 'not as it should be',
        why: `${e.id} only looks like a fault: rule it out before you blame a part.`,
        trace: {
          id: `setting:${e.id}`,
          exercises: [e.id],
          minutes: LOOK_MINUTES,
          ...reach(e.touch ?? e.needs),
        },
      })),
});
