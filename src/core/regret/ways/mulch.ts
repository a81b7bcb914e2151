import { type TraceRequest, trace } from '../../trace';
import type { Way } from './way';

/** No check is made more often than this. */
const MOST_TIMES = 2;

/** What `trace` advises: the first of its next, two checks ahead. */
export const mulch: Way = {
  name: 'Mulch',
  unordered: true,
  // Each of its steps takes its time, and it is seldom far from the best when it is left.
  unlikely: 3e-4,
  next({ model, made, opened, power, log, rungs }) {
    const { request, checkOf, indexOf } = model;
    const asked: TraceRequest = {
      ...request,
      opened: (request.access ?? []).flatMap((a, i) => (opened[i] ? [a.id] : [])),
      ...(request.power && power ? { power: { ...request.power, now: power } } : {}),
      log,
      options: {
        ...request.options,
        lookahead: 2,
        repeats: 'intermittent only',
        top: request.elements.length + request.checks.length,
        exact: false,
      },
    };
    for (const act of trace(asked).next) {
      if (act.kind === 'check') {
        const index = checkOf.get(act.id) as number;
        if ((made[index] as number) < MOST_TIMES) return { kind: 'check', index };
        continue;
      }
      const index = indexOf.get(act.id) as number;
      const ladder = model.ladders[index] ?? [];
      const rung = ladder.findIndex((s) => s.id === (act.remedy ?? null));
      // A ladder is not gone back down.
      if (rung >= (rungs[index] as number)) return { kind: 'repair', index, rung };
    }
    throw new Error('trace names nothing for a unit that is not mended');
  },
};
