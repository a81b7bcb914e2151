import { useState } from 'react';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import { send } from '../send';

export interface LearnedRow {
  element: string;
  weight: number;
  start: number;
  jobs: number;
  faults: number;
  kindFactor: number;
  hearsay?: string;
}

const figure = (x: number) => Number(x.toPrecision(3));

/** What closed jobs taught about this model, and how to begin anew. */
export function Learned({ rows, map }: { rows: LearnedRow[]; map: UnitMap }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const jobs = rows[0]?.jobs ?? 0;
  const moved = rows.filter((r) => Math.abs(r.weight / r.start - 1) > 0.005 || r.faults > 0);
  const reset = async (since: string | null) => {
    const sent = await send('/api/lessons/reset', { since });
    if (sent.ok) window.location.reload();
    else setWrong(sent.failure.reason);
  };
  return (
    <section className="pad grid gap-2 border-t border-rule-strong" aria-label="What closed jobs taught">
      <div className="lead">
        <h2 className="sec">What closed jobs taught</h2>
        <span className="note">
          {jobs} {jobs === 1 ? 'job' : 'jobs'} on this model stand behind these numbers
        </span>
      </div>
      {moved.length === 0 ? (
        <p className="note">
          Nothing yet. Every job that is handed over as working, with the failing check repeated well, moves
          the weight of the element that was at fault.
        </p>
      ) : (
        <div className="overflow-x-auto">
          <table className="plain max-w-[760px]">
            <thead>
              <tr>
                {['Element', 'Weight to begin with', 'Weight now', 'At fault', 'Its kind, all models'].map(
                  (h) => (
                    <th key={h} scope="col">
                      {h}
                    </th>
                  ),
                )}
              </tr>
            </thead>
            <tbody>
              {moved.map((r) => (
                <tr key={r.element}>
                  <th scope="row">
                    <b className="mono text-bark text-[15px]">{r.element}</b>{' '}
                    {map.elements.find((e) => e.id === r.element)?.name}
                  </th>
                  <td>
                    {figure(r.start)}
                    {r.hearsay && <span className="note"> by hearsay, {r.hearsay}</span>}
                  </td>
                  <td>
                    <b>{figure(r.weight)}</b>
                  </td>
                  <td>
                    {r.faults} of {r.jobs} jobs
                  </td>
                  <td>× {figure(r.kindFactor)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <Second small onClick={() => reset(new Date().toISOString())}>
          Begin anew from today
        </Second>
        <Second small onClick={() => reset(null)}>
          Count all closed jobs
        </Second>
        <a className="act-2 small" href="/api/lessons?as=csv" download>
          As a table
        </a>
      </div>
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
