import type { OwnCheck } from '../map';
import { anyOf, checkKind, reach } from './check';

function whyOf(c: OwnCheck): string {
  if (c.answers)
    return c.answers
      .map((a) =>
        a.points.length ? `“${a.name}” points to ${anyOf(a.points)}` : `“${a.name}” points at nothing`,
      )
      .join('; ')
      .concat('.');
  return c.provokes
    ? `“${c.bad ?? 'fails'}” points to ${anyOf(c.exercises)}.`
    : `“${c.ok ?? 'works'}” clears ${anyOf(c.exercises)}.`;
}

/** Checks that somebody added to the map: self-tests with their codes, knocks, tricks of the model. */
export const own = checkKind({
  hows: { own: 'Added' },
  repeated: true,
  derive: (map) =>
    (map.checks ?? []).map((c) => ({
      id: `own:${c.id}`,
      how: 'own',
      title: c.name,
      about: c.answers ? `${c.answers.length} answers` : anyOf(c.exercises.slice(0, 4)),
      ok: c.ok ?? 'works',
      bad: c.bad ?? 'fails',
      why: whyOf(c),
      ...(c.answers ? { answers: c.answers } : {}),
      ...(c.note ? { note: c.note } : {}),
      ...(c.leaves ? { leaves: c.leaves } : {}),
      trace: {
        id: `own:${c.id}`,
        minutes: c.minutes,
        ...(c.answers
          ? { outcomes: c.answers.map((a) => ({ id: a.id, points: a.points })) }
          : { exercises: c.exercises }),
        ...(c.provokes && !c.answers ? { provokes: c.provokes } : {}),
        ...(c.power ? { power: c.power } : {}),
        ...reach(c.needs),
      },
    })),
});
