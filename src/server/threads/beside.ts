import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { Refusal } from '../../core/refusal';
import { StoreFault } from '../../data/store-fault';
import { Problem } from '../problem';
import { HEAVY, type HeavyName } from './heavy';
import type { Said } from './thread';

/** Requests that wait for a thread; one more is told to come again. */
const MOST_WAITING = 32;
/** Milliseconds a thread without work is kept. */
const IDLE_MS = 60_000;

let pool: Piscina | null = null;

/** The threads, begun when they are first needed; null where the built thread is not named. */
function threads(): Piscina | null {
  const filename = process.env.MULCH_THREAD;
  if (!filename) return null;
  // One core is left for answering.
  pool ??= new Piscina({
    filename,
    maxThreads: Math.max(1, availableParallelism() - 1),
    minThreads: 0,
    idleTimeout: IDLE_MS,
    maxQueue: MOST_WAITING,
  });
  return pool;
}

/**
 * Works something heavy out beside the answering of other requests. Where no built thread is named
 * (`MULCH_THREAD`), as in unit tests, it is worked out at once.
 *
 * @throws Refusal or Problem as the computation does
 * @throws StoreFault when what is kept cannot be read
 * @throws Problem 503 when too many wait already
 */
export const beside =
  <N extends HeavyName>(name: N) =>
  async (request: Parameters<(typeof HEAVY)[N]>[0]): Promise<Awaited<ReturnType<(typeof HEAVY)[N]>>> => {
    type Answer = Awaited<ReturnType<(typeof HEAVY)[N]>>;
    const there = threads();
    if (!there) return (await HEAVY[name](request as never)) as Answer;
    if (there.queueSize >= MOST_WAITING)
      throw new Problem(
        503,
        'Busy',
        `${MOST_WAITING} computations are waiting already: ask again in a moment`,
      );
    const said = (await there.run({ name, request })) as Said<Answer>;
    if ('refused' in said) throw new Refusal(said.refused.reason, said.refused.path);
    if ('fault' in said) throw new StoreFault(said.fault.kind, said.fault.words);
    if ('problem' in said) {
      const { status, title, detail, path } = said.problem;
      throw new Problem(status, title, detail, path);
    }
    return said.answer;
  };
