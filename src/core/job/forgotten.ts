import type { JobEvent } from './event';

/** What stands where somebody’s words stood. */
export const REMOVED = 'taken out of the record';

/** What is taken out of a kind of entry: words that have to be there are blanked, others dropped. */
interface Personal {
  blank?: readonly string[];
  drop?: readonly string[];
  /** lists that are emptied */
  empty?: readonly string[];
}

/** Where the owner of a unit is spoken of, or may be. What is not named here says nothing of anybody. */
const PERSONAL: Partial<Record<JobEvent['type'], Personal>> = {
  'job.opened': { drop: ['place'] },
  'unit.identified': { blank: ['owner'], drop: ['mark', 'reach', 'apart'] },
  'intake.recorded': { blank: ['symptom'], drop: ['since'], empty: ['keep'] },
  'referral.weighed': { blank: ['reason'] },
  'look.answered': { drop: ['note'] },
  'check.recorded': { drop: ['note'] },
  'plan.chosen': { blank: ['why'] },
  'quote.made': { drop: ['notCovered'] },
  'quote.sent': { blank: ['to', 'how'] },
  'quote.answered': { blank: ['who'], drop: ['note'] },
  'job.referred': { blank: ['to', 'why'] },
  'kit.noted': { blank: ['what'] },
  'tick.noted': { blank: ['text'] },
  'party.told': { blank: ['how'] },
  'power-down.passed': { blank: ['reason'] },
  'gate.passed': { blank: ['reason'] },
  'point.passed': { blank: ['reason'] },
  'job.parked': { blank: ['why'], drop: ['until'] },
  'note.added': { blank: ['text'] },
  'photo.added': { blank: ['caption'] },
  'part.removed': { drop: ['serial'] },
  'part.fitted': { drop: ['serial'] },
  'remedy.done': { drop: ['note'] },
  'proof.recorded': { drop: ['note'] },
  'proving.ticked': { drop: ['note'] },
  'owed.noted': { blank: ['what'] },
  'job.handed-over': {
    blank: ['to'],
    drop: ['settings', 'note', 'followUp', 'disposal', 'owed', 'decidedBy'],
  },
  'receipt.signed': { blank: ['name'], empty: ['lines'] },
};

/**
 * An entry without what it says of the owner: names, marks, places, pictures’ captions, free words. What was
 * measured, done and fitted stays, so that its figures stay too.
 *
 * @param event an entry as it was kept
 * @returns the entry, under its id and time
 * @example forgotten({ type: 'note.added', text: 'rings Mrs Wren', … }).text // 'taken out of the record'
 */
export function forgotten(event: JobEvent): JobEvent {
  const { blank = [], drop = [], empty = [] } = PERSONAL[event.type] ?? {};
  const next: Record<string, unknown> = { ...event };
  for (const key of drop) delete next[key];
  for (const key of empty) if (key in next) next[key] = [];
  for (const key of blank) if (key in next || key === 'owner') next[key] = REMOVED;
  return next as unknown as JobEvent;
}
