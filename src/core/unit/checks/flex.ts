import { checkKind, reach } from './check';

/** Chance that bending a faulty cable shows the fault at once. Common practice, no source. */
const FLEX_SHOWS = 0.85;
const FLEX_MINUTES = 2;

/** Bending each cable while the fault is watched. */
export const flex = checkKind({
  hows: { flex: 'Flex' },
  repeated: true,
  derive: (map) =>
    map.elements
      .filter((e) => e.kind === 'cable')
      .map((e) => ({
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
      })),
});
