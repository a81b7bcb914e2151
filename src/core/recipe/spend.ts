import { schedule } from '../schedule';

/** One thing to do: hands on it, then perhaps a wait without them. */
export interface Doing {
  id: string;
  minutes: number;
  handsOff: number;
  tool: string | null;
  sideUp: string | null;
  after: string[];
}

export interface Setup {
  tool: string | null;
  sideUp: string | null;
}

export interface Spent {
  minutes: number;
  toolChanges: number;
  flips: number;
  /** minutes in which the hands wait for something to soak or cure */
  waiting: number;
}

/**
 * What a list of things costs in the order it stands: hands on, changes of tool, flips, and waits that
 * nothing was done over.
 *
 * @param list in the order they are done; minutes
 * @param start tool in hand and side up
 * @param change minutes per change of tool and per flip
 * @returns minutes until the last wait is over, with what they were spent on
 * @example spend([glue, lid], start, { tool: 0.3, flip: 1 }).waiting // 30, the lid waits for the glue
 */
export function spend(list: Doing[], start: Setup, change: { tool: number; flip: number }): Spent {
  const over = new Map<string, number>();
  let { tool, sideUp } = start;
  let now = 0;
  let end = 0;
  const spent: Spent = { minutes: 0, toolChanges: 0, flips: 0, waiting: 0 };
  for (const d of list) {
    const ready = Math.max(0, ...d.after.map((a) => over.get(a) ?? 0));
    if (ready > now) {
      spent.waiting += ready - now;
      now = ready;
    }
    if (d.tool !== null && d.tool !== tool) {
      spent.toolChanges++;
      now += change.tool;
      tool = d.tool;
    }
    if (d.sideUp !== null && d.sideUp !== sideUp) {
      spent.flips++;
      now += change.flip;
      sideUp = d.sideUp;
    }
    now += d.minutes;
    over.set(d.id, now + d.handsOff);
    end = Math.max(end, now + d.handsOff);
  }
  spent.waiting += end - now;
  return { ...spent, minutes: end };
}

/**
 * The same things with their waits overlapped: what starts a long wait first, the rest while it lasts.
 *
 * Method: earliest finish with one pair of hands (`schedule`); changes of tool and flips are left out
 * of the search and counted afterwards.
 *
 * @param list any order; minutes
 * @param timeLimitMs how long to look
 * @returns the list by the minute each begins
 * @example overlapped([lid, glue]).map((d) => d.id) // ['glue', 'lid'] where both can begin
 */
export function overlapped(list: Doing[], timeLimitMs = 200): Doing[] {
  const ids = new Set(list.map((d) => d.id));
  const { start } = schedule({
    tasks: list.map((d) => ({
      id: d.id,
      handsOn: d.minutes,
      handsOff: d.handsOff,
      after: d.after.filter((a) => ids.has(a)),
    })),
    timeLimitMs,
  });
  const place = new Map(list.map((d, i) => [d.id, i]));
  return [...list].sort(
    (a, b) =>
      (start[a.id] ?? 0) - (start[b.id] ?? 0) || (place.get(a.id) as number) - (place.get(b.id) as number),
  );
}
