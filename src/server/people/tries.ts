import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from '../problem';

const MINUTE = 60;

/**
 * How many wrong tries are borne, and for how long the door stays shut after that. A person's own are
 * few; an address may be that of a whole bench.
 */
const LIMITS = {
  person: new RateLimiterMemory({ points: 8, duration: 15 * MINUTE, blockDuration: 15 * MINUTE }),
  address: new RateLimiterMemory({ points: 40, duration: 15 * MINUTE, blockDuration: 15 * MINUTE }),
};
type Of = keyof typeof LIMITS;
/** Links that one address may try. */
const ARRIVALS = new RateLimiterMemory({ points: 20, duration: 15 * MINUTE, blockDuration: 15 * MINUTE });

/** Wrong tries of a person after which each further one waits longer. */
const FREE = 3;
const LONGEST_WAIT_MS = 4000;

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** What is said when there were too many. */
function shut(error: unknown): unknown {
  if (!(error instanceof RateLimiterRes)) return error;
  const minutes = Math.max(1, Math.ceil(error.msBeforeNext / 60_000));
  return new Problem(
    429,
    'Too many tries',
    `too many wrong tries: it is shut for ${minutes} more ${minutes === 1 ? 'minute' : 'minutes'}`,
  );
}

/**
 * Counts a try before it is made, so that many at once do not slip through, and lets it wait.
 *
 * @throws Problem 429 when there were too many
 */
export async function beforeATry(who: Partial<Record<Of, string>>): Promise<void> {
  for (const [of, key] of Object.entries(who) as [Of, string][]) {
    try {
      const { consumedPoints } = await LIMITS[of].consume(key);
      if (of === 'person' && consumedPoints > FREE)
        await pause(Math.min(LONGEST_WAIT_MS, 250 * 2 ** (consumedPoints - FREE - 1)));
    } catch (error) {
      throw shut(error);
    }
  }
}

/** A try that was right: what the person mistyped before is forgotten; the address keeps its count but this one. */
export async function rightTry(who: { person?: string; address: string }): Promise<void> {
  if (who.person !== undefined) await LIMITS.person.delete(who.person);
  await LIMITS.address.reward(who.address);
}

/** Counts a link that is tried. @throws Problem 429 when there were too many */
export async function beforeAnArrival(address: string): Promise<void> {
  await ARRIVALS.consume(address).catch((error) => {
    throw shut(error);
  });
}
