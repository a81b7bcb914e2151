import {
  type CollisionDetection,
  closestCenter,
  DndContext,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { arrayMove, SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { addDays, format, parseISO } from 'date-fns';
import { useEffect, useMemo, useState } from 'react';
import { clockIn, type DaySheet, minutesTo, type PlannedJob } from '../../core/day-plan';
import { Action, Second } from '../../ui/Action';
import { alongRows } from '../../ui/along-rows';
import { Choices, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { useStill } from '../../ui/use-still';
import { author } from '../job/author';
import { SheetFrame } from '../sheet/SheetFrame';
import { SumHost } from '../sums/SumHost';
import { axisOf } from './axis';
import { BusyTimes } from './BusyTimes';
import { DayOffers } from './DayOffers';
import { JobLane } from './JobLane';
import { JobTimes } from './JobTimes';
import { Hours, Legend } from './Lane';
import { PersonLane } from './PersonLane';
import { inHundred, RunningLate } from './RunningLate';
import { StartAndEnd } from './StartAndEnd';
import { useDay } from './use-day';
import { useWorkedOut } from './use-worked-out';
import { VanSheet } from './VanSheet';
import { WaysBetween } from './WaysBetween';

const HELP = [
  { keys: ', .', does: 'the day before, the day after' },
  { keys: '↑ ↓', does: 'along the jobs of the day' },
  { keys: 'Alt ↑ ↓', does: 'the job earlier, later' },
  { keys: 'Enter', does: 'its times, on a job; else the one action' },
  { keys: 'R', does: 'running late: plan anew from now' },
  { keys: 'V', does: 'the van' },
  { keys: 'Ctrl Z', does: 'take the last change back' },
];

type Shows = 'day' | 'van';

const goTo = (day: string, person: string) =>
  window.location.assign(`/day?day=${day}&person=${encodeURIComponent(person)}`);
const other = (day: string, by: number) => format(addDays(parseISO(day), by), 'yyyy-MM-dd');

/** Rows are high or low, folded out or not: what is under the pointer is meant, else what is nearest. */
const underThePointer: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length ? under : closestCenter(args);
};

/** Without what says nothing. */
function said(j: PlannedJob): PlannedJob {
  const keep = Object.entries(j).filter(
    ([, v]) => v !== undefined && v !== '' && v !== false && !(Array.isArray(v) && v.length === 0),
  );
  return Object.fromEntries(keep) as unknown as PlannedJob;
}

/** A technician’s day: which jobs, in which order, what is left and whom to tell. */
export function DayView({
  sheet,
  day,
  person,
  shows: firstShows,
}: {
  sheet: DaySheet;
  day: string;
  person: string;
  shows: Shows;
}) {
  const link = useDay(sheet, day, person);
  const { plan, offers, house, change } = link;
  const [shows, setShows] = useState<Shows>(firstShows);
  const [chosen, setChosen] = useState('');
  const [now, setNow] = useState<number | null>(null);
  const [who, setWho] = useState(person);
  const plans = useMemo(() => [plan, ...link.others], [plan, link.others]);
  const reckoned = useStill(useWorkedOut(plans, offers, house));
  const { out, busy, wrong } = reckoned[0] ?? { out: null, busy: true, wrong: null };
  useEffect(() => {
    const look = () => setNow(minutesTo(day, new Date().toISOString(), plan.zone));
    look();
    const timer = setInterval(look, 30_000);
    return () => clearInterval(timer);
  }, [day, plan.zone]);
  useEffect(() => {
    // The page without a name is of whoever works at this bench, or else of whoever planned this day.
    // The day of this bench, where none is asked for: the server may be on another clock.
    const today = format(new Date(), 'yyyy-MM-dd');
    const asked = new URLSearchParams(window.location.search);
    if (!asked.has('day') && today !== day) return goTo(today, person);
    // A page that was kept without a name stays as it is: asked for again it would be the same.
    if (person || asked.get('person')) return;
    const here = author.get();
    const [fullest] = [...sheet.others].sort((a, b) => b.jobs.length - a.jobs.length);
    goTo(day, here === 'bench' ? (fullest?.person ?? here) : here);
  }, [person, day, sheet.others]);
  useEffect(() => {
    const asked = `/day?day=${day}&person=${encodeURIComponent(person)}${shows === 'van' ? '&shows=van' : ''}`;
    if (person) window.history.replaceState(null, '', asked);
  }, [shows, day, person]);
  const by = new Map(offers.map((o) => [o.job, o]));
  const answer = out?.answer ?? null;
  const left = new Map((out?.left ?? []).map((l) => [l.job, l.why]));
  // As they are begun; what is left stands last.
  const first = new Map<string, number>();
  for (const t of answer?.tasks ?? []) if (!first.has(t.job)) first.set(t.job, first.size);
  const rank = (id: string) =>
    plan.order.length ? plan.order.indexOf(id) : (first.get(id) ?? (left.has(id) ? 1000 : -1));
  const inOrder = [...plan.jobs].sort((a, b) => rank(a.job) - rank(b.job));
  const ids = inOrder.map((j) => j.job);
  const putJob = (id: string, more: Partial<PlannedJob>) =>
    change({ jobs: plan.jobs.map((j) => (j.job === id ? said({ ...j, ...more }) : j)) });
  const moveTo = (id: string, to: number) => {
    const from = ids.indexOf(id);
    if (from < 0 || to < 0 || to >= ids.length || from === to) return;
    change({ order: arrayMove(ids, from, to) });
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-row="${id}"]`)?.focus());
  };
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const keys = (() => {
    const move = (by_: 1 | -1) => {
      const id = (document.activeElement as HTMLElement | null)?.dataset.row;
      if (id) moveTo(id, ids.indexOf(id) + by_);
    };
    return {
      ArrowDown: () => alongRows(1),
      ArrowUp: () => alongRows(-1),
      'Alt+ArrowDown': () => move(1),
      'Alt+ArrowUp': () => move(-1),
      ',': () => goTo(other(day, -1), person),
      '.': () => goTo(other(day, 1), person),
      v: () => setShows((s) => (s === 'van' ? 'day' : 'van')),
      r: () => document.querySelector<HTMLElement>('[data-key=late]')?.click(),
      '$mod+z': link.undo,
    };
  })();
  const at = (path: string) =>
    wrong?.path === path
      ? wrong.reason
      : link.failed?.path === `/plan${path}`
        ? link.failed.reason
        : undefined;
  const axis = axisOf(plans.map((p, i) => ({ plan: p, answer: reckoned[i]?.out?.answer ?? null })));
  const told = answer
    ? `${plan.jobs.length - left.size} ${plan.jobs.length - left.size === 1 ? 'job' : 'jobs'}, done ${clockIn(plan, answer.finish)}`
    : '';
  const wrongAt = (index: number) => (wrong?.path.startsWith(`/jobs/${index}/`) ? wrong : null);
  return (
    <SheetFrame
      tag={format(parseISO(day), 'EEE d MMM')}
      title="Day"
      about={[person, told].filter(Boolean).join(', ')}
      label="Day"
      busy={busy}
      back={{ href: '/', words: 'bench' }}
      help={HELP}
      keys={keys}
    >
      <div className="cols">
        <div className="pad grid gap-3 content-start">
          <div className="flex flex-wrap gap-3 items-end no-print">
            <Choices
              label="Shown"
              name="shows"
              value={shows}
              onPick={(v) => setShows(v as Shows)}
              options={[
                { value: 'day', words: 'The day' },
                { value: 'van', words: 'The van' },
              ]}
              hideLabel
            />
            <span className="flex gap-2 items-end">
              <Second small onClick={() => goTo(other(day, -1), person)} aria-label="The day before">
                ‹
              </Second>
              <TextField
                label="Date"
                type="date"
                value={day}
                onChange={(e) => e.target.value && goTo(e.target.value, person)}
              />
              <Second small onClick={() => goTo(other(day, 1), person)} aria-label="The day after">
                ›
              </Second>
            </span>
            <form
              className="flex gap-2 items-end"
              onSubmit={(e) => {
                e.preventDefault();
                if (who.trim()) goTo(day, who.trim());
              }}
            >
              <TextField
                label="Whose day"
                list="day-people"
                value={who}
                onChange={(e) => setWho(e.target.value)}
                autoComplete="off"
              />
              <datalist id="day-people">
                {link.people.map((p) => (
                  <option key={p} value={p} />
                ))}
              </datalist>
              {who.trim() !== person && (
                <Second small type="submit">
                  Show
                </Second>
              )}
            </form>
            {shows === 'day' && plan.order.length > 0 && (
              <Second small onClick={() => change({ order: [] })}>
                Best order again
              </Second>
            )}
          </div>
          {link.clash && (
            <p className="notice bg-ochre-wash" role="alert">
              <span aria-hidden="true" className="mono">
                !
              </span>
              <span>
                This day was changed elsewhere. <b>Yours is not kept yet.</b>
              </span>
              <span className="flex flex-wrap gap-2">
                <Second small onClick={() => void link.theirs()}>
                  Take theirs
                </Second>
                <Second small onClick={link.mine}>
                  Keep mine
                </Second>
              </span>
            </p>
          )}
          {link.failed && <Wrong>{link.failed.reason}</Wrong>}
          {wrong && !wrong.path.startsWith('/jobs') && <Wrong>{wrong.reason}</Wrong>}
          <p className="hidden print:block font-big text-[24px]">
            {person}, {format(parseISO(day), 'EEEE d MMMM yyyy')}
          </p>
          {shows === 'van' ? (
            <VanSheet link={link} />
          ) : (
            <section aria-label="The strip" className="grid">
              <div className="day-grid">
                <span className="note">{plan.order.length ? 'in your order' : 'in the best order'}</span>
                <Hours axis={axis} />
              </div>
              <PersonLane plan={plan} axis={axis} out={out} now={now} busy={busy} own />
              {link.others.map((o, i) => (
                <PersonLane
                  key={o.person}
                  plan={o}
                  axis={axis}
                  out={reckoned[i + 1]?.out ?? null}
                  now={now}
                  busy={busy}
                />
              ))}
              {plan.jobs.length === 0 ? (
                <div className="empty">
                  <h2>No job is in this day yet</h2>
                  <p>Take jobs in at the right. Their order, their waits and the way between them follow.</p>
                </div>
              ) : (
                <DndContext
                  sensors={sensors}
                  collisionDetection={underThePointer}
                  onDragEnd={({ active, over }) => {
                    if (over) moveTo(String(active.id), ids.indexOf(String(over.id)));
                  }}
                >
                  <SortableContext items={ids} strategy={verticalListSortingStrategy}>
                    <ol aria-label="Jobs of the day">
                      {inOrder.map((j) => {
                        const offer = by.get(j.job);
                        if (!offer) return null;
                        return (
                          <JobLane
                            key={j.job}
                            plan={plan}
                            planned={j}
                            offer={offer}
                            out={out}
                            axis={axis}
                            now={now}
                            offers={offers}
                            house={house}
                            left={left.get(j.job)}
                            chosen={chosen === j.job}
                            onPick={() => setChosen((c) => (c === j.job ? '' : j.job))}
                          >
                            <JobTimes
                              planned={j}
                              offer={offer}
                              wrong={wrongAt(plan.jobs.indexOf(j))}
                              onPut={(more) => putJob(j.job, more)}
                              onMove={(by_) => moveTo(j.job, ids.indexOf(j.job) + by_)}
                              onOut={() =>
                                change({
                                  jobs: plan.jobs.filter((x) => x.job !== j.job),
                                  order: plan.order.filter((x) => x !== j.job),
                                })
                              }
                            />
                          </JobLane>
                        );
                      })}
                    </ol>
                  </SortableContext>
                </DndContext>
              )}
              <Legend />
            </section>
          )}
        </div>
        <div className="pad grid gap-4 content-start no-print">
          {shows === 'day' && (
            <>
              <RunningLate link={link} out={out} now={now} />
              <DayOffers link={link} />
            </>
          )}
          <StartAndEnd plan={plan} onPut={change} at={at} />
          <WaysBetween link={link} apart={out?.apart ?? []} />
          {shows === 'day' && <BusyTimes plan={plan} onPut={change} at={at} saved={link.saved} />}
        </div>
      </div>
      <Foot>
        <span className="grid leading-[1.15]">
          <b className="text-[18px]">{answer ? `Done ${clockIn(plan, answer.finish)}` : 'The day'}</b>
          <span className="note">
            {link.saved ? 'kept' : 'being kept'}
            {answer?.holds !== undefined && `, holds in ${inHundred(answer.holds)} days`}
          </span>
        </span>
        <Second keyName="Ctrl Z" onClick={link.undo} disabled={!link.canUndo}>
          Undo
        </Second>
        {shows === 'van' ? (
          <Action onClick={() => window.print()}>Print the list</Action>
        ) : (
          <Action keyName="V" onClick={() => setShows('van')}>
            What goes into the van
          </Action>
        )}
      </Foot>
      <SumHost />
    </SheetFrame>
  );
}
