import { demand } from '../../../refusal';
import { Name, Type, Ulid } from '../../../schema/words';
import { LONGEST_MINUTES, withTimer } from '../../timing';
import { kind } from '../kind';

/** Glue, tape, sealant, thread lock, solder, ferrules, ties, alcohol: used up, never owed back. */
export const consumableUsed = kind({
  type: 'consumable.used',
  payload: {
    what: Name,
    amount: Type.Optional(Name),
    setsMinutes: Type.Optional(Type.Number()),
    on: Type.Optional(Name),
    /** the thing of the store that it was, and how much of it */
    stock: Type.Optional(Ulid),
    count: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
  },
  admit: 'always',
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
    const next = { ...state, consumables: [...state.consumables, used] };
    if (!setsMinutes) return next;
    const where = used.on ? ` on ${used.on}` : '';
    return withTimer(next, { id, what: `${used.what}${where} sets`, startedAt: at, minutes: setsMinutes });
  },
  says: (p) =>
    `Used: ${[p.amount?.trim(), p.what].filter(Boolean).join(' ')}${p.on?.trim() ? `, ${p.on.trim()}` : ''}`,
  reports: ({ what, amount, on }, _state, { at }) => [
    {
      under: 'Done',
      at,
      text: `Used: ${[amount?.trim(), what.trim()].filter(Boolean).join(' ')}`,
      ...(on?.trim() ? { result: on.trim() } : {}),
    },
  ],
  whileParked: 'wakes',
});
