import { makeBackup } from '../../backup';
import { mixups } from '../../core/mixups';
import { order } from '../../core/order';
import { trace } from '../../core/trace';

/** What may take its time, and so is never worked out where requests are answered. */
export const HEAVY = {
  mixups,
  order,
  trace,
  backup: ({ data, to, now }: { data: string; to: string; now: Date }) => makeBackup(data, to, now),
};
export type HeavyName = keyof typeof HEAVY;
