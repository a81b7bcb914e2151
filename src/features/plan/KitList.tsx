import { useMemo } from 'react';
import { kitOf } from '../../core/recipe';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { useJob } from '../job/use-job';

/** What to lay out or pack before the opening. */
export function KitList() {
  const { job, record } = useJob();
  const kit = useMemo(() => kitOf(job), [job]);
  const groups = [
    ['Tools', kit.tools],
    ['Parts', kit.parts],
    ['Used up', kit.consumables],
  ] as const;
  const known = groups.some(([, list]) => list.length > 0);
  return (
    <section aria-label="Kit" className="grid gap-2">
      <div className="lead">
        <h2 className="sec">Kit</h2>
        <Second small className="no-print" onClick={() => window.print()}>
          Print
        </Second>
      </div>
      {!known && kit.own.length === 0 && (
        <p className="note">
          No way in is known of this unit, so nobody knows its drives. Add what you want with you.
        </p>
      )}
      {groups.map(([title, list]) =>
        list.length ? (
          <p key={title}>
            <b>{title}:</b> {list.join(', ')}
          </p>
        ) : null,
      )}
      {kit.own.length > 0 && (
        <ul className="flex flex-wrap gap-2" aria-label="Added to the kit">
          {kit.own.map((what) => (
            <li key={what}>
              <Second
                small
                aria-label={`Leave ${what} here`}
                onClick={() => record('kit.noted', { what, along: false })}
              >
                {what} ×
              </Second>
            </li>
          ))}
        </ul>
      )}
      <AskLine
        several
        small
        label="And take along"
        placeholder="torch"
        hint=""
        button="Add"
        onSay={(what) => record('kit.noted', { what, along: true })?.reason ?? null}
      />
    </section>
  );
}
