import { useState } from 'react';
import { type Item, proofsOf, specOf, tally, type WayBackStep } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { SelectField, Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';

/** Leads that stand next to each other on the way back from here on, each once. */
function plugsNext(steps: WayBackStep[]): Item[] {
  const end = steps.findIndex((s) => s.item?.kind !== 'plug' || s.kind === 'count');
  const run = end < 0 ? steps : steps.slice(0, end);
  return [...new Map(run.flatMap((s) => (s.item ? [[s.item.id, s.item] as const] : []))).values()];
}

/** Several leads that are in already, confirmed in one go: how each was proven is kept for each. */
export function PlugsAtOnce({ steps }: { steps: WayBackStep[] }) {
  const { record } = useJob();
  const [open, setOpen] = useState(false);
  const [how, setHow] = useState<Record<string, string>>({});
  const [wrong, setWrong] = useState<string | null>(null);
  const plugs = plugsNext(steps);
  if (plugs.length < 2) return null;
  const done = plugs.filter((p) => how[p.id]);
  if (!open)
    return (
      <div>
        <Second onClick={() => setOpen(true)}>{plugs.length} leads in one go</Second>
      </div>
    );
  const confirm = (e: React.FormEvent) => {
    e.preventDefault();
    if (done.length === 0) return setWrong('say of one lead at least how it was proven');
    for (const p of done) {
      const { off } = tally(p);
      const refused =
        (off > 0 ? record('item.returned', { item: p.id, count: off, state: 'plugged' }) : null) ??
        record('item.proven', { item: p.id, how: how[p.id] ?? '' });
      if (refused) return setWrong(`${specOf(p)}: ${refused.reason}`);
    }
    setWrong(null);
    setOpen(false);
  };
  return (
    <form onSubmit={confirm} className="grid gap-2 border border-bark p-3" aria-label="Leads in one go">
      <ul className="rows">
        {plugs.map((p) => (
          <li key={p.id} className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)] gap-3 items-center">
            <b>{specOf(p)}</b>
            <SelectField
              label={`How ${specOf(p)} was proven`}
              value={how[p.id] ?? ''}
              onChange={(e) => {
                setHow({ ...how, [p.id]: e.target.value });
                setWrong(null);
              }}
            >
              <option value="">not in yet</option>
              {proofsOf(p).map((h) => (
                <option key={h}>{h}</option>
              ))}
            </SelectField>
          </li>
        ))}
      </ul>
      {wrong && <Wrong>{wrong}</Wrong>}
      <div className="flex flex-wrap gap-3">
        <Second type="submit">
          {done.length === 0
            ? 'Those chosen are in and proven'
            : `${done.length} ${done.length === 1 ? 'lead is' : 'leads are'} in and proven`}
        </Second>
        <Second onClick={() => setOpen(false)}>One by one</Second>
      </div>
    </form>
  );
}
