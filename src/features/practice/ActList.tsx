import { useMemo } from 'react';
import { type JobState, type PracticeAct, practiceMinutes } from '../../core/job';
import { CHECK_HOWS, type MapCheck, type MapElement } from '../../core/unit';
import { minutes } from './words';

const keyOf = (act: PracticeAct) => ('check' in act ? act.check : `${act.element} ${act.tried}`);

/** Rungs of a ladder above the last that was tried: none is gone back to. */
function rungsLeft(job: JobState, e: MapElement) {
  const tried = job.trace.flatMap((r) => (r.tried?.element === e.id ? [r.tried.remedy] : []));
  const last = Math.max(-1, ...tried.map((t) => e.remedies.findIndex((r) => r.id === t)));
  return e.remedies.slice(last + 1);
}

/** Everything that can be done, in the order of the map: nothing is suggested. */
export function ActList({
  job,
  checks,
  chosen,
  onChoose,
}: {
  job: JobState;
  checks: MapCheck[];
  chosen: PracticeAct | null;
  onChoose(act: PracticeAct): void;
}) {
  const now = chosen ? keyOf(chosen) : '';
  const groups = useMemo(() => {
    const made = new Map<string, number>();
    for (const r of job.trace) if (r.check) made.set(r.check, (made.get(r.check) ?? 0) + 1);
    const rows = CHECK_HOWS.map(([how, heading]) => ({
      heading,
      acts: checks
        .filter((c) => c.how === how)
        .map((c) => ({
          act: { check: c.id } as PracticeAct,
          title: c.title,
          about: c.about,
          times: made.get(c.id) ?? 0,
        })),
    }));
    const remedies = job.map.elements.flatMap((e) =>
      rungsLeft(job, e).map((r) => ({
        act: { tried: r.id, element: e.id } as PracticeAct,
        title: r.name,
        about: '',
        times: 0,
      })),
    );
    const all = [...rows, { heading: 'Remedies', acts: remedies }].filter((g) => g.acts.length);
    const costs = practiceMinutes(
      job,
      all.flatMap((g) => g.acts.map((a) => a.act)),
    );
    let n = 0;
    return all.map((g) => ({ ...g, acts: g.acts.map((a) => ({ ...a, cost: costs[n++] ?? 0 })) }));
  }, [job, checks]);
  return (
    <section
      className="flex flex-col min-h-0 min-[1181px]:sticky min-[1181px]:top-[60px] min-[1181px]:max-h-[calc((100dvh-236px)/var(--zoom))] overflow-y-auto"
      aria-label="What can be done"
    >
      <div className="lead pad pb-2!">
        <h2 className="sec">What can be done</h2>
        <span className="note">in the order of the map</span>
      </div>
      {groups.map((g) => (
        <div key={g.heading}>
          <h3 className="note px-[14px] pt-2">{g.heading}</h3>
          <ul>
            {g.acts.map((a) => {
              const on = keyOf(a.act) === now;
              return (
                <li
                  key={keyOf(a.act)}
                  className={`border-t border-rule ${on ? 'bg-ochre-wash border-ochre' : ''}`}
                >
                  <button
                    type="button"
                    aria-pressed={on}
                    className={`grid grid-cols-[minmax(0,1fr)_auto] gap-3 w-full text-left px-[14px] py-[7px] ${on ? 'shadow-[inset_5px_0_0_var(--color-ochre-fill)]' : 'hover:bg-inset'}`}
                    onClick={() => onChoose(a.act)}
                  >
                    <span className="leading-[1.2]">
                      <b>{a.title}</b>
                      {a.about && <span className="text-[14px]"> {a.about}</span>}
                      {a.times > 0 && (
                        <span className="note"> done {a.times === 1 ? 'once' : `${a.times} times`}</span>
                      )}
                    </span>
                    <span className="whitespace-nowrap">{minutes(a.cost)}</span>
                  </button>
                </li>
              );
            })}
          </ul>
        </div>
      ))}
    </section>
  );
}
