import { useState } from 'react';
import type { Hazard } from '../../core/unit';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { Wrong } from '../../ui/Field';
import { Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** A tick for each lead, one after the other. */
export function LeadTicks({
  leads,
  ticked,
  onTick,
  holds,
}: {
  leads: string[];
  ticked: number;
  onTick(n: number): void;
  holds: boolean;
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
              data-next={(holds && i === ticked) || undefined}
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
  const [asking, setAsking] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const swollen = job.swollen.includes(h.id);
  const free = (thing: string) => {
    const refused = record('pack.freed-by', { hazard: h.id, thing });
    if (!refused) setAsking(false);
    return refused?.reason ?? null;
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
        <AskLine
          small
          label="What comes off first"
          placeholder="battery bracket"
          hint="Asked once: this gate does not hold it."
          button="Keep it"
          onSay={free}
        />
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
