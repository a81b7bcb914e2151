import { cone } from '../cone';
import { anyOf, checkKind, reach } from './check';

const VERB = { look: 'Look', listen: 'Listen', measure: 'Measure' };

/** A look, a listen or a reading at each tap: it exercises the cone upstream of it. */
export const taps = checkKind({
  hows: { look: 'Look', listen: 'Listen', measure: 'Measure' },
  repeated: true,
  derive: (map) =>
    map.taps.map((tap) => {
      const before = cone(map, tap.after);
      const inside = new Set(before);
      const after = map.elements.map((e) => e.id).filter((id) => !inside.has(id));
      const measured = tap.how === 'measure';
      return {
        id: `tap:${tap.id}`,
        how: tap.how,
        title: `${VERB[tap.how]} at ${tap.id}`,
        about: tap.name,
        ok: measured ? 'in range' : 'as it should be',
        bad: measured ? 'out of range' : 'not as it should be',
        why: after.length
          ? `Good here clears ${anyOf(before)}; bad here clears ${anyOf(after)}.`
          : `Everything up to ${tap.after} has to work for this.`,
        tap,
        ...(tap.note ? { note: tap.note } : {}),
        trace: {
          id: `tap:${tap.id}`,
          exercises: before,
          minutes: tap.minutes,
          ...reach(tap.needs),
          ...(tap.power ? { power: tap.power } : {}),
        },
      };
    }),
});
