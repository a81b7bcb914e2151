import { useCallback, useMemo, useState } from 'react';
import { sharing, type TraceView, traceRequest } from '../../core/job';
import { suspicion } from '../../core/trace';
import { CHECK_HOWS, cone, type MapCheck, type UnitMap } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { SelectField } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { later } from '../../ui/later';
import { Warn } from '../../ui/Signs';
import { useFocusKept } from '../../ui/use-focus-kept';
import { Swollen } from '../job/Swollen';
import { useJob } from '../job/use-job';
import { useTrace } from '../job/use-trace';
import { Answering, type Typed } from './Answering';
import { Chain } from './Chain';
import { FirstLooks } from './FirstLooks';
import { NextList } from './NextList';
import { OwnCheckForm } from './OwnCheckForm';
import { Recorded } from './Recorded';
import { Weights } from './Weights';

/** Fetched for simulated units alone. */
const PracticeTrace = later(() => import('../practice/PracticeTrace').then((m) => m.PracticeTrace));

/** Suspicion from which on an element is known rather than suspected. */
const KNOWN = 0.5;
/** Suspicion from which on an element is named in the headline. */
const STANDS_OUT = 0.03;
const percent = (p: number) => (p >= 0.995 ? 'over 99' : p < 0.01 ? 'under 1' : String(Math.round(p * 100)));

/** Which element it is: the chain with its suspicion, the next best check, its answer, what was found. */
export function Trace() {
  const { job } = useJob();
  if (!job.intake) return <NotTakenIn />;
  if (job.practice) return <PracticeTrace />;
  return <TraceSheet />;
}

function NotTakenIn() {
  const { go } = useJob();
  return (
    <div className="empty">
      <h2>First say what it does wrong</h2>
      <p>Suspicion starts from the function that fails: everything it does not need is out of it at once.</p>
      <Foot>
        <Action onClick={() => go('take in')}>Take in</Action>
      </Foot>
    </div>
  );
}

function TraceSheet() {
  const { job, record, go } = useJob();
  const { view, reckoning } = useTrace(job);
  // A choice holds until the next entry: then the best check comes up again.
  const [choice, setChoice] = useState<{ entries: number; id: string } | null>(null);
  const picked = choice?.entries === job.trace.length ? choice.id : null;
  const setPicked = (id: string | null) => setChoice(id ? { entries: job.trace.length, id } : null);
  const [typed, setTyped] = useState<Typed | null>(null);
  const [looked, setLooked] = useState<MapCheck | null>(null);
  const [describing, setDescribing] = useState(false);

  const bestCheck = view.next.find((n) => n.kind === 'check')?.id;
  const chosenId = picked ?? (view.enough ? undefined : bestCheck);
  const chosen = view.checks.find((c) => c.id === chosenId);
  const now = useMemo(() => new Map(view.answer.belief.map((b) => [b.id, b.p])), [view]);
  const forecast = useMemo(() => {
    if (!typed || typed.check !== chosenId) return null;
    return new Map(suspicion(traceRequest(job, typed)).belief.map((b) => [b.id, b.p]));
  }, [typed, chosenId, job]);
  const onTyped = useCallback((t: Typed | null) => setTyped(t), []);

  const path = useMemo(
    () =>
      new Set(
        job.map.functions
          .filter((f) => f.id === job.intake?.function || job.intake?.alsoFails?.includes(f.id))
          .flatMap((f) => cone(job.map, f.output)),
      ),
    [job.map, job.intake],
  );
  const answering = useFocusKept<HTMLElement>(`${job.trace.length} ${chosenId}`);

  const top = view.suspects[0];
  const repair = view.next.find((n) => n.kind === 'repair');

  return (
    <div className="cols">
      <div className="grid content-start min-w-0">
        <FirstLooks />
        <section className="pad pb-2! grid gap-2">
          <div className="lead">
            <h2 className="headline">
              {(top?.p ?? 0) < STANDS_OUT ? (
                <>Nothing stands out: {sharing(view.suspects.map((s) => s.p))} elements share the suspicion</>
              ) : (
                <Heading view={view} map={job.map} />
              )}
            </h2>
            {/* Both stand in one place: the headline keeps its lines whichever is said. */}
            <span className="note grid justify-items-start *:[grid-area:1/1]">
              <span className={`flex items-center gap-2 ${forecast ? '' : 'invisible'}`}>
                <svg width="26" height="6" aria-hidden="true">
                  <path d="M0 3H26" stroke="var(--color-ochre)" strokeWidth="2.2" strokeDasharray="5 3" />
                </svg>
                level once this is recorded
              </span>
              <span className={forecast ? 'invisible' : ''}>
                {chosen ? 'slate: what this check tests' : ''}
              </span>
            </span>
          </div>
          <Chain
            map={job.map}
            checks={view.checks}
            records={job.trace}
            suspicion={now}
            forecast={forecast}
            chosen={looked ?? chosen}
            path={path}
            beside={<Weights job={job} />}
          />
          {(view.together || view.answer.contradiction) && (
            <p className="flex gap-2 text-ochre font-[600]">
              <Warn />
              {view.together
                ? `No single fault explains these answers. Two at once most likely: ${view.together.ids.join(' and ')}, ${percent(view.together.p)} %. Take the most surprising answer again before you trust it.`
                : 'These answers do not fit together. Take the most surprising one again.'}
            </p>
          )}
        </section>
        <div className="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] max-[760px]:grid-cols-1 border-t border-rule-strong">
          <section
            ref={answering}
            tabIndex={-1}
            className="pad border-r border-rule grid gap-3 content-start"
            aria-label="This check"
          >
            {view.enough && !picked && repair ? (
              <div className="grid gap-3">
                <h3 className="sec">Enough to repair</h3>
                <p>{view.reason}</p>
                <Foot>
                  <Action keyName="Enter" onClick={() => go('plan')}>
                    Plan: {repair.title}
                  </Action>
                </Foot>
              </div>
            ) : chosen ? (
              <>
                <Answering
                  key={`${chosen.id} ${job.trace.length}`}
                  check={chosen}
                  why={view.next.find((n) => n.id === chosen.id)?.why}
                  onAnswer={(a) =>
                    record('check.recorded', {
                      ...a,
                      ...(chosen.leaves ? { leaves: chosen.leaves } : {}),
                    })?.reason ?? null
                  }
                  onTyped={onTyped}
                />
                <p className="note">{view.reason}</p>
              </>
            ) : (
              <p className="note">No check is left that would tell anything. {view.reason}</p>
            )}
            <div className="flex flex-wrap gap-3 items-end">
              <SelectField
                label="Another check"
                value={picked ?? ''}
                onChange={(e) => setPicked(e.target.value || null)}
                className="max-w-[340px]"
              >
                <option value="">{view.enough ? 'none, it is enough' : 'the best one'}</option>
                {CHECK_HOWS.map(([how, heading]) => {
                  const group = view.checks.filter((c) => c.how === how);
                  return group.length ? (
                    <optgroup key={how} label={heading}>
                      {group.map((c) => (
                        <option key={c.id} value={c.id}>
                          {c.title}
                          {c.how === 'substitute' && `, ${c.about}`}
                        </option>
                      ))}
                    </optgroup>
                  ) : null;
                })}
              </SelectField>
              <Second onClick={() => setDescribing(true)}>A check of your own</Second>
              {!view.enough && <Second onClick={() => go('plan')}>Repair anyway</Second>}
            </div>
          </section>
          <div className="pad">
            <Recorded job={job} checks={view.checks} />
            <Swollen />
          </div>
        </div>
      </div>
      <NextList
        map={job.map}
        view={view}
        chosen={chosenId}
        onChoose={(n) => (n.kind === 'check' ? setPicked(n.id) : go('plan'))}
        onLook={setLooked}
        job={job}
        reckoning={reckoning}
      />
      <Dialog open={describing} onClose={() => setDescribing(false)} title="A check of your own">
        {describing && (
          <OwnCheckForm
            map={job.map}
            onDone={(check) => {
              const refused = record('check.described', { check });
              if (!refused) {
                setDescribing(false);
                setPicked(`own:${check.id}`);
              }
              return refused;
            }}
          />
        )}
      </Dialog>
    </div>
  );
}

/** What is most suspect, in words: one element, or several that are as suspect as each other. */
function Heading({ view, map }: { view: TraceView; map: UnitMap }) {
  const { leaders, suspects, enough } = view;
  const p = leaders[0]?.p ?? 0;
  const names = leaders.map((s) => map.elements.find((e) => e.id === s.id)?.name ?? s.id);
  if (leaders.length > 1)
    return (
      <>
        {leaders.length > 3
          ? `${leaders.length} elements alike`
          : `Alike: ${names.slice(0, -1).join(', ')} and ${names.at(-1)}`}
        , {percent(p)} % each
      </>
    );
  const second = suspects[1];
  return (
    <>
      {!enough ? 'Most suspect' : p >= KNOWN ? 'Enough known' : 'Nothing more to check'}: {names[0]}{' '}
      <span className="whitespace-nowrap">
        {leaders[0]?.id}, {percent(p)} %
      </span>
      {enough && p < KNOWN && second && (
        <span className="text-bark-2">
          , then {second.id}, {percent(second.p)} %
        </span>
      )}
    </>
  );
}
