import { checkKind, type MapCheckOf, reach } from './check';

/** Minutes to watch whether the fault is still there. Common practice, no source. */
const WATCH_MINUTES = 1;

/**
 * Parting each connection, cleaning it where that is usual, and closing it again while the fault is
 * there: gone means that it was the connection. What this shows is the chance of the gentle rungs of
 * its ladder together.
 */
export const reseat = checkKind({
  hows: { reseat: 'Reseat and clean' },
  repeated: false,
  derive: (map) =>
    map.elements
      .filter((e) => e.kind === 'cable' || e.kind === 'connector')
      .flatMap((e): MapCheckOf<'reseat'>[] => {
        const rungs = e.remedies.filter((r) => r.kind === 'reseat' || r.kind === 'clean');
        if (rungs.length === 0) return [];
        const shows = 1 - rungs.reduce((stays, r) => stays * (1 - r.fixes), 1);
        const verb = rungs.map((r) => r.kind).join(' and ');
        return [
          {
            id: `reseat:${e.id}`,
            how: 'reseat',
            title: `${verb.charAt(0).toUpperCase()}${verb.slice(1)} ${e.id}`,
            about: e.name,
            ok: 'the fault stays',
            bad: 'the fault is gone',
            why: `If the fault goes with it, ${e.id} or its ends were the fault; if it stays, ${e.id} is a little less suspect.`,
            note: 'look at both ends before you part them',
            trace: {
              id: `reseat:${e.id}`,
              exercises: [e.id],
              provokes: { [e.id]: shows },
              minutes: WATCH_MINUTES + rungs.reduce((m, r) => m + r.minutes, 0),
              ...reach(e.needs),
            },
          },
        ];
      }),
});
