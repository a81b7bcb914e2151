import { daysBetween, markKey } from '../identity';
import type { JobFacts } from './facts';

/** How a repair was followed up. */
export interface Followed {
  facts: JobFacts;
  /** days from its hand over until the same fault was back, or until now */
  days: number;
  cameBack: boolean;
  /** the job it came back with */
  by?: string;
}

const unitKey = (f: JobFacts): string =>
  f.mark && markKey(f.mark) ? `${markKey(f.maker)}/${markKey(f.mark)}` : '';

/** Whether the unit was mended and went out as working. */
export const isRepair = (f: JobFacts): boolean =>
  f.aim === 'fault' && f.result === 'works' && f.handedOverAt !== undefined;

/**
 * Follows every repair of a unit whose mark is known: to the day the same function fails again, or to a job
 * that ends the unit’s life, else to today.
 *
 * @param all facts of every job, in any order
 * @param now ISO time up to which they are followed
 * @returns one for each repair of a unit with a mark
 * @example followedUp([first, second], now)[0] // { facts: first, days: 12, cameBack: true, by: second.job }
 */
export function followedUp(all: JobFacts[], now: string): Followed[] {
  const units = new Map<string, JobFacts[]>();
  for (const f of all) {
    const key = unitKey(f);
    if (!key) continue;
    const there = units.get(key);
    if (there) there.push(f);
    else units.set(key, [f]);
  }
  return [...units.values()].flatMap((jobs) => {
    const inOrder = [...jobs].sort((a, b) => Date.parse(a.openedAt) - Date.parse(b.openedAt));
    return inOrder.flatMap((facts, i): Followed[] => {
      if (!isRepair(facts) || facts.handedOverAt === undefined) return [];
      const out = Date.parse(facts.handedOverAt);
      const ids = new Set(facts.failed.map((f) => f.id));
      const later = inOrder.slice(i + 1).filter((f) => Date.parse(f.openedAt) >= out);
      const back = later.find((f) => f.aim === 'fault' && f.failed.some((x) => ids.has(x.id)));
      const end = later.find((f) => f.result === 'kept for parts');
      if (back && !(end && Date.parse(end.openedAt) < Date.parse(back.openedAt)))
        return [
          { facts, days: daysBetween(facts.handedOverAt, back.openedAt), cameBack: true, by: back.job },
        ];
      return [
        {
          facts,
          days: Math.max(0, daysBetween(facts.handedOverAt, end?.handedOverAt ?? now)),
          cameBack: false,
        },
      ];
    });
  });
}
