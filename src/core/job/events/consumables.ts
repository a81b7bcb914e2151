import { demand } from '../../refusal';
import { kind } from './kind';

const LONGEST_MINUTES = 60 * 24 * 14;

/** Glue, tape, sealant, thread lock, solder, ferrules, ties, alcohol: used up, never owed back. */
export const consumableUsed = kind<{ what: string; amount?: string; setsMinutes?: number; on?: string }>({
  apply(state, { what, amount, setsMinutes, on }, { id, at, by }) {
    demand(what.trim() !== '', 'say what was used', '/what');
    demand(
      setsMinutes === undefined || (setsMinutes > 0 && setsMinutes <= LONGEST_MINUTES),
      'a setting time lies over 0 min and up to 14 days',
      '/setsMinutes',
    );
    const used = {
      id,
      what: what.trim(),
      at,
      by,
      ...(amount?.trim() ? { amount: amount.trim() } : {}),
      ...(on?.trim() ? { on: on.trim() } : {}),
    };
    return {
      ...state,
      consumables: [...state.consumables, used],
      ...(setsMinutes
        ? {
            timers: [
              ...state.timers,
              {
                id,
                what: `${used.what}${used.on ? ` on ${used.on}` : ''} sets`,
                startedAt: at,
                minutes: setsMinutes,
              },
            ],
          }
        : {}),
    };
  },
  says: (p) =>
    `Used: ${[p.amount?.trim(), p.what].filter(Boolean).join(' ')}${p.on?.trim() ? `, ${p.on.trim()}` : ''}`,
});
