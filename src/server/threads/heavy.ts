import { mixups } from '../../core/mixups';
import { order } from '../../core/order';
import { trace } from '../../core/trace';

/** What may take its time, and so is never worked out where requests are answered. */
export const HEAVY = { mixups, order, trace };
export type HeavyName = keyof typeof HEAVY;
