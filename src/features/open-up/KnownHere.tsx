import { useState } from 'react';
import { namesOf } from '../../core/job';
import { tally } from '../../core/ledger';
import type { NamedKind } from '../../core/line';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { useLine } from './use-line';

/** What one tap says of a thing of this unit. */
const SAYS: Partial<Record<NamedKind, { title: string; verb: string }>> = {
  plug: { title: 'Plugs', verb: 'unplug' },
  cover: { title: 'Covers', verb: 'lift' },
  element: { title: 'Parts', verb: 'lift' },
};
const SHOWN = 24;

/** Plugs, covers and parts that the map names and that are still on: one tap each, Undo takes it back. */
export function KnownHere() {
  const { job } = useJob();
  const { read, say } = useLine();
  const [wrong, setWrong] = useState<string | null>(null);
  const off = new Set(job.ledger.items.filter((i) => tally(i).off > 0).map((i) => i.name.toLowerCase()));
  const names = namesOf(job).filter((n) => !off.has(n.name.toLowerCase()) && !off.has(n.id.toLowerCase()));
  const groups = Object.entries(SAYS).flatMap(([kind, { title, verb }]) => {
    const list = names.filter((n) => n.kind === kind);
    return list.length ? [{ kind, title, verb, list }] : [];
  });
  if (groups.length === 0) return null;
  return (
    <section aria-label="Known here" className="grid gap-2 border-b border-rule pb-3">
      <p className="note">One tap: it came off. Undo takes it back.</p>
      {groups.map(({ kind, title, verb, list }) => (
        <div key={kind} className="grid gap-1">
          <h3 className="sec">{title}</h3>
          <div className="flex flex-wrap gap-2">
            {list.slice(0, SHOWN).map((n) => {
              const called = kind === 'element' ? n.id : n.name;
              return (
                <Second
                  key={n.id}
                  small
                  aria-label={`${verb} ${called}`}
                  onClick={() => setWrong(say(read(`${verb} ${called}`)).refused?.reason ?? null)}
                >
                  {kind === 'element' && n.name !== n.id ? `${n.id} ${n.name}` : n.name}
                </Second>
              );
            })}
            {list.length > SHOWN && <span className="note">and {list.length - SHOWN} more, on the line</span>}
          </div>
        </div>
      ))}
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
