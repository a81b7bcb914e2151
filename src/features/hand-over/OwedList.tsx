import { useState } from 'react';
import { OWED_KINDS, type OwedKind } from '../../core/job';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { TickBox } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';

/** What is usually said of each kind. */
const PLACEHOLDER: Record<OwedKind, string> = {
  activation: 'activate the new board with its maker',
  'core to return': 'old drive back to its maker',
  'disposal note': 'slip from the collection for the old pack',
  'follow-up': 'look at it after the spring tide',
  other: 'the second key',
};

/** What is typed of something owed, before it is written down. */
export interface OwedDraft {
  owed: OwedKind;
  what: string;
  due: string;
}
export const NOTHING_OWED: OwedDraft = { owed: 'follow-up', what: '', due: '' };
/** As it is recorded. */
export const owedOf = ({ owed, what, due }: OwedDraft) => ({ owed, what, ...(due ? { due } : {}) });

/** What is still owed to somebody, each until it is ticked. */
export function OwedList({ draft, onDraft }: { draft: OwedDraft; onDraft(d: OwedDraft): void }) {
  const { job, record } = useJob();
  const { owed: kind, what, due } = draft;
  const [wrong, setWrong] = useState<Refused | null>(null);
  const today = new Date().toISOString().slice(0, 10);
  const add = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('owed.noted', owedOf(draft));
    setWrong(refused);
    if (!refused) onDraft(NOTHING_OWED);
  };
  const dated = job.owed.some((o) => o.due && !o.settled);
  return (
    <section className="pad grid gap-3 border-t border-rule-strong" aria-label="Owed">
      <h2 className="sec">Owed</h2>
      <ul className="rows">
        {job.owed.length === 0 && (
          <li className="note">
            Nothing is owed. An activation, a core, a slip, a second look: each stands on the bench until it
            is ticked.
          </li>
        )}
        {job.owed.map((o) => (
          <li key={o.id} className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center">
            <span className="leading-[1.25]">
              <b>{o.what}</b>
              <span className="block note">
                {o.kind}
                {o.due && `, by ${o.due}`}
                {o.due && !o.settled && o.due < today && <b className="text-ochre"> overdue</b>}
              </span>
            </span>
            {o.settled ? (
              <span className="note flex gap-1 items-center">
                <TickBox size={16} /> {o.settled.at.slice(0, 10)}
              </span>
            ) : (
              <Second small onClick={() => record('owed.settled', { owed: o.id })}>
                Done
              </Second>
            )}
          </li>
        ))}
      </ul>
      <form onSubmit={add} noValidate className="grid gap-2">
        <SelectField
          label="Kind"
          value={kind}
          onChange={(e) => onDraft({ ...draft, owed: e.target.value as OwedKind })}
        >
          {OWED_KINDS.map((k) => (
            <option key={k} value={k}>
              {k}
            </option>
          ))}
        </SelectField>
        <TextField
          label="Still owed"
          placeholder={PLACEHOLDER[kind]}
          value={what}
          onChange={(e) => onDraft({ ...draft, what: e.target.value })}
          wrong={wrong?.path === '/what' ? wrong.reason : undefined}
          autoComplete="off"
        />
        <TextField
          label="By the day"
          type="date"
          value={due}
          onChange={(e) => onDraft({ ...draft, due: e.target.value })}
          wrong={wrong?.path === '/due' ? wrong.reason : undefined}
        />
        {wrong && !['/what', '/due'].includes(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
        <span className="flex flex-wrap gap-3">
          <Second type="submit" small>
            Write it down as owed
          </Second>
          {dated && (
            <a className="act-2 small" href={`/api/jobs/${job.id}/owed`} download>
              For the calendar
            </a>
          )}
        </span>
      </form>
    </section>
  );
}
