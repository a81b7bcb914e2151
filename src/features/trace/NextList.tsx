import { useState } from 'react';
import { type JobState, type NextStep, openAccess, type TraceView } from '../../core/job';
import { hazardsOf, type MapCheck, testedBy, type UnitMap } from '../../core/unit';
import { Warn } from '../../ui/Signs';
import { SplitTape } from '../../ui/SplitTape';
import { WouldClear } from './WouldClear';

interface NextListProps {
  map: UnitMap;
  view: TraceView;
  chosen: string | undefined;
  onChoose(step: NextStep): void;
  /** a check is looked at with the pointer or the keyboard, without being chosen */
  onLook(check: MapCheck | null): void;
  job: JobState;
  reckoning: boolean;
}

const SHOWN = 5;
const minutes = (m: number) => Number(m.toFixed(m < 10 ? 1 : 0));

/** What to do next, soonest mended first: checks and repairs in one list. */
export function NextList({ map, view, chosen, onChoose, onLook, job, reckoning }: NextListProps) {
  // Under a pointer nothing unfolds: what moves is not hit.
  const [focused, setFocused] = useState<string | null>(null);
  const p = new Map(view.suspects.map((s) => [s.id, s.p]));
  const shares = [...p].map(([id, x]) => ({ id, p: x }));
  const isOpen = openAccess(job).length > 0;
  return (
    <section className="flex flex-col min-h-0" aria-label="Next checks" aria-busy={reckoning}>
      <div className="lead pad pb-2!">
        <h2 className="sec">Next checks</h2>
        <span className="note">{reckoning ? 'reckoning' : 'soonest mended first'}</span>
      </div>
      <ol className="flex flex-col">
        {view.next.slice(0, SHOWN).map((n) => {
          const tested = new Set(n.check ? testedBy(n.check) : n.element ? [n.element] : []);
          const inside = shares.filter((s) => tested.has(s.id)).reduce((a, s) => a + s.p, 0);
          const share = Math.round(inside * 100);
          const hazards = n.check ? hazardsOf(map, n.check) : [];
          const now = n.id === chosen;
          return (
            <li
              key={n.id}
              className={`border-t border-rule last:border-b ${now ? 'bg-ochre-wash border-ochre' : ''}`}
            >
              <button
                type="button"
                aria-pressed={now}
                className={`grid grid-cols-[30px_minmax(0,1fr)] w-full px-[10px] py-[9px] ${now ? 'shadow-[inset_5px_0_0_var(--color-ochre-fill)]' : 'hover:bg-inset'}`}
                onClick={() => onChoose(n)}
                onMouseEnter={() => onLook(n.check ?? null)}
                onFocus={() => {
                  setFocused(n.id);
                  onLook(n.check ?? null);
                }}
                onMouseLeave={() => onLook(null)}
                onBlur={() => {
                  setFocused(null);
                  onLook(null);
                }}
              >
                <span className="big text-[24px] pl-1">
                  {n.place}
                  {n.tied && (
                    <span
                      className="block text-[13px] font-[500] leading-none"
                      title="as good as the others of this place"
                    >
                      tie
                    </span>
                  )}
                </span>
                <span className="grid gap-[5px]">
                  <span className="flex justify-between gap-3 leading-[1.15]">
                    <span>
                      <b>{n.kind === 'repair' ? `Repair: ${n.title}` : n.title}</b>
                      {n.check && <span className="text-[14px]"> {n.check.about}</span>}
                    </span>
                    <span className="big text-[17px] text-slate whitespace-nowrap">
                      {share} | {100 - share}&nbsp;%
                    </span>
                  </span>
                  <SplitTape shares={shares.map((s) => ({ ...s, tested: tested.has(s.id) }))} />
                  {(now || n === view.next[0]) && <span className="text-[14px] leading-[1.25]">{n.why}</span>}
                  {n.check && (now || n.id === focused) && <WouldClear job={job} check={n.check} />}
                  {/* What parts two facts is out of sight where a line begins. */}
                  <span className="overflow-hidden">
                    <span className="flex flex-wrap text-[14px] leading-[1.2] -ml-[10px] [&>*]:border-l [&>*]:border-rule-strong [&>*]:pl-[9px] [&>*]:pr-[9px]">
                      <span>
                        <b>{minutes(n.minutes)}</b> min
                      </span>
                      <span>
                        {n.openMinutes > 0
                          ? `opening ${minutes(n.openMinutes)}\u00a0min`
                          : isOpen
                            ? 'no cover more'
                            : 'stays shut'}
                      </span>
                      {n.kind === 'check' && (
                        <span>{n.power === 'either' ? 'powered or dead' : n.power}</span>
                      )}
                      <span>mended in {minutes(n.expectedMinutes)}&nbsp;min</span>
                      {hazards[0] && (
                        <span className="text-brick flex gap-1 items-center">
                          <Warn size={14} /> {hazards[0].detail}
                        </span>
                      )}
                    </span>
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
