import { cone } from '../cone';
import { checkKind, type MapCheckOf, reach } from './check';

/** Minutes to watch after the spare is in. Common practice, no source. */
const WATCH_MINUTES = 1;

/**
 * A known-good spare in place of an element, watched at each function the element serves: it
 * exercises the cone less the replaced element.
 */
export const substitute = checkKind({
  hows: { substitute: 'Try a spare' },
  repeated: false,
  derive: (map) =>
    map.elements
      .filter((e) => e.spare)
      .flatMap((e) => {
        const swap = e.remedies.find((r) => r.kind === 'replace') ?? e.remedies.at(-1);
        return map.functions.flatMap((f): MapCheckOf<'substitute'>[] => {
          const whole = cone(map, f.output);
          if (!whole.includes(e.id)) return [];
          const id = `substitute:${e.id}:${f.id}`;
          return [
            {
              id,
              how: 'substitute',
              title: `Try the spare ${e.id}`,
              about: `${e.name}, watched at: ${f.name}`,
              ok: 'works with the spare',
              bad: 'still fails',
              why: `Works with the spare points to ${e.id}; still fails clears it.`,
              note: 'same type and same setting as the one that comes out',
              leaves: `spare ${e.id} in place of the unit’s own`,
              trace: {
                id,
                exercises: whole.filter((x) => x !== e.id),
                minutes: WATCH_MINUTES + (swap?.minutes ?? 0),
                power: 'on',
                ...reach(e.needs),
              },
            },
          ];
        });
      }),
});
