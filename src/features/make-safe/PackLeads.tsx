import { useState } from 'react';
import { leadsOf } from '../../core/hazard';
import { leadsNow } from '../../core/job';
import { HAZARDS, type Hazard } from '../../core/unit';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** Leads that the act of a pack's gate parts, in the order of the rule in force; those that are off are left out. */
export function useLeadsToPart(hazard: Hazard): string[] {
  const { job } = useJob();
  const { power, signals } = leadsOf(job.map, hazard);
  const { rule, off } = leadsNow(job);
  const gone = new Set(off.map((o) => o.toLowerCase()));
  const all = power ? (rule === 'signal before power' ? [...signals, power] : [power, ...signals]) : [];
  return all.filter((l) => !gone.has(l.toLowerCase()));
}

/** A tick for each lead, one after the other. */
export function LeadTicks({
  leads,
  ticked,
  onTick,
}: {
  leads: string[];
  ticked: number;
  onTick(n: number): void;
}) {
  return (
    <ol className="choices" aria-label="Leads in their order">
      {leads.map((lead, i) => (
        <li key={lead}>
          <label>
            <input
              type="checkbox"
              checked={i < ticked}
              disabled={i > ticked}
              onChange={(e) => onTick(e.target.checked ? i + 1 : i)}
            />
            <span className="dot" aria-hidden="true" />
            {i + 1}. {lead} parted, contacts taped over
          </label>
        </li>
      ))}
    </ol>
  );
}

/** What is particular about a pack: swollen or not, and what lies over its plug. */
export function PackState({ hazard: h }: { hazard: Hazard }) {
  const { job, record } = useJob();
  const [thing, setThing] = useState('');
  const [asking, setAsking] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const swollen = job.swollen.includes(h.id);
  const free = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('pack.freed-by', { hazard: h.id, thing });
    setWrong(refused?.reason ?? null);
    if (!refused) {
      setThing('');
      setAsking(false);
    }
  };
  return (
    <div className="grid gap-2 border-t border-rule pt-2">
      {swollen && (
        <p className="flex gap-2 text-brick font-[600]" role="alert">
          <Warn />
          <span>
            Swollen. No heat, no lever on it; outside with it, cover it, keep it apart. It is not fitted again
            and goes to the collection as a damaged pack. Local rules and the maker’s instructions come first.
          </span>
        </p>
      )}
      {h.clear.under && h.clear.under.length > 0 && (
        <p className="note">Comes off before its plug is reached: {h.clear.under.join(', ')}.</p>
      )}
      <span className="flex flex-wrap gap-2">
        <Second
          small
          onClick={() =>
            setWrong(record('swelling.noted', { hazard: h.id, swollen: !swollen })?.reason ?? null)
          }
        >
          {swollen ? 'It is not swollen' : 'It is swollen'}
        </Second>
        {h.clear.inside && (
          <Second small onClick={() => setAsking(!asking)}>
            Something lies over its plug
          </Second>
        )}
      </span>
      {asking && (
        <form onSubmit={free} className="flex flex-wrap gap-2 items-end" noValidate>
          <TextField
            label="What comes off first"
            placeholder="battery bracket"
            value={thing}
            onChange={(e) => setThing(e.target.value)}
            hint="Asked once: this gate does not hold it."
            autoComplete="off"
            className="w-[260px]"
          />
          <span className="pb-[21px]">
            <Second small type="submit">
              Keep it
            </Second>
          </span>
        </form>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}

/** Whether a pack is swollen, asked where the unit is first looked at. */
export function Swollen() {
  const { job, record } = useJob();
  const packs = job.map.hazards.filter((h) => HAZARDS[h.kind].isPack);
  if (packs.length === 0) return null;
  return (
    <ul className="rows" aria-label="Swollen packs">
      {packs.map((h) => {
        const swollen = job.swollen.includes(h.id);
        return (
          <li key={h.id} className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center">
            <span className={swollen ? 'text-brick font-[600]' : ''}>
              {h.name}{' '}
              {swollen
                ? 'is swollen: no heat, no lever, outside with it, cover it'
                : 'flat, cool, not swollen?'}
            </span>
            <Second small onClick={() => record('swelling.noted', { hazard: h.id, swollen: !swollen })}>
              {swollen ? 'It is not' : `Swollen: ${h.name}`}
            </Second>
          </li>
        );
      })}
    </ul>
  );
}
