import { useState } from 'react';
import { HAZARDS } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { useJob } from './use-job';

/** Whether a pack is swollen, asked where the unit is looked at. */
export function Swollen() {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<{ on: string; why: string } | null>(null);
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
            <Second
              small
              onClick={() => {
                const why = record('swelling.noted', { hazard: h.id, swollen: !swollen })?.reason;
                setWrong(why ? { on: h.id, why } : null);
              }}
            >
              {swollen ? 'It is not' : `Swollen: ${h.name}`}
            </Second>
            {wrong?.on === h.id && <Wrong>{wrong.why}</Wrong>}
          </li>
        );
      })}
    </ul>
  );
}
