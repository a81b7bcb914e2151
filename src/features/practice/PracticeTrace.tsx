import { useEffect, useMemo, useState } from 'react';
import {
  entryOf,
  handHeldBy,
  type JobState,
  type PracticeAct,
  practiceMinutes,
  traceRequest,
} from '../../core/job';
import { suspicion } from '../../core/trace';
import { cone, deriveChecks, type MapCheck, powerOf } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot, toFoot } from '../../ui/Foot';
import { Warn } from '../../ui/Signs';
import { useJob, useLink } from '../job/use-job';
import { Chain } from '../trace/Chain';
import { CoverFirst, useCoversOn } from '../trace/CoverFirst';
import { LiveMeanwhile } from '../trace/LiveMeanwhile';
import { Recorded } from '../trace/Recorded';
import { ActList } from './ActList';
import { Coach } from './Coach';
import { hiddenWords, minutes } from './words';

/** Trace of a simulated unit: the same chain and log, nothing suggested; what is done is answered by the unit. */
export function PracticeTrace() {
  const { job } = useJob();
  const checks = useMemo(
    () => deriveChecks(job.map).filter((c) => !c.id.startsWith('symptom:') || isOther(job, c.id)),
    [job],
  );
  const [chosen, setChosen] = useState<PracticeAct | null>(null);
  const choose = (act: PracticeAct | null) => {
    setChosen(act);
    // Once its one action is drawn.
    setTimeout(() => {
      toFoot();
      if (!act) document.getElementById('main')?.scrollTo(0, 0);
    });
  };
  const check =
    !job.practiceOver && chosen && 'check' in chosen ? checks.find((c) => c.id === chosen.check) : undefined;
  const belief = useMemo(() => new Map(suspicion(traceRequest(job)).belief.map((b) => [b.id, b.p])), [job]);
  const path = useMemo(
    () =>
      new Set(
        job.map.functions
          .filter((f) => f.id === job.intake?.function || job.intake?.alsoFails?.includes(f.id))
          .flatMap((f) => cone(job.map, f.output)),
      ),
    [job.map, job.intake],
  );
  return (
    <div className="cols">
      <div className="grid content-start min-w-0">
        <section className="pad pb-2! grid gap-2">
          <div className="lead">
            <h2 className="headline">
              {job.practiceOver ? `It was ${hiddenWords(job)}` : 'Find it, and mend it'}
            </h2>
            <span className="note">{check ? 'slate: what this check tests' : ''}</span>
          </div>
          <Chain
            map={job.map}
            checks={checks}
            records={job.trace}
            suspicion={belief}
            forecast={null}
            chosen={check}
            path={path}
          />
        </section>
        <div className="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] max-[760px]:grid-cols-1 border-t border-rule-strong">
          <section className="pad border-r border-rule grid gap-3 content-start" aria-label="This act">
            {job.practiceOver ? (
              <Over />
            ) : chosen ? (
              <DoIt act={chosen} check={check} onDone={() => choose(null)} />
            ) : (
              <Choose />
            )}
            {job.practice?.coach && <Coach />}
          </section>
          <div className="pad">
            <Recorded job={job} checks={checks} />
          </div>
        </div>
      </div>
      {!job.practiceOver && <ActList job={job} checks={checks} chosen={chosen} onChoose={choose} />}
    </div>
  );
}

/** A function that was not complained of can be tried too; the one that fails is known to fail. */
const isOther = (job: JobState, id: string): boolean =>
  ![job.intake?.function, ...(job.intake?.alsoFails ?? [])].some((f) => id === `symptom:${f}`);

function Choose() {
  return (
    <div className="grid gap-2">
      <h3 className="sec">What do you do next?</h3>
      <p>
        Choose a check or a remedy. Each costs its minutes, with what it opens and switches; covers and gates
        hold as they do on a real job.
      </p>
      <Foot>
        <b className="text-[18px]">Choose what you do next</b>
        <span className="note">Tab to the list, Enter to choose</span>
      </Foot>
    </div>
  );
}

/** The run is over: how, and where its story is. */
function Over() {
  const { job } = useJob();
  const { unsent } = useLink();
  const [asked, setAsked] = useState(false);
  const to = `/practice/${job.practice?.exercise}`;
  useEffect(() => {
    // The story is told from what the server has: what was done last is there first.
    if (asked && unsent === 0) window.location.assign(to);
  }, [asked, unsent, to]);
  const over = job.practiceOver;
  if (!over || !job.practice) return null;
  const words =
    over.how === 'mended'
      ? 'The symptom is gone.'
      : over.how === 'stopped'
        ? 'Stopped before somebody was hurt.'
        : 'You left it.';
  return (
    <div className="grid gap-3">
      <h3 className="sec">{words}</h3>
      {over.why && (
        <p className="flex gap-2 text-brick font-[600]">
          <Warn /> <span>{over.why}</span>
        </p>
      )}
      <Foot>
        <b className="text-[18px]">{words}</b>
        <Action keyName="Enter" onClick={() => setAsked(true)}>
          What each decision cost
        </Action>
        {asked && unsent > 0 && (
          <span className="note" role="status">
            once {unsent} unsent {unsent === 1 ? 'entry is' : 'entries are'} with the server
          </span>
        )}
      </Foot>
    </div>
  );
}

/** What the act needs, and the unit’s answer to it. */
function DoIt({ act, check, onDone }: { act: PracticeAct; check: MapCheck | undefined; onDone(): void }) {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<string | null>(null);
  const element = 'tried' in act ? job.map.elements.find((e) => e.id === act.element) : undefined;
  const remedy = element?.remedies.find((r) => 'tried' in act && r.id === act.tried);
  const needs = check ? check.trace.needs : element?.needs;
  const covers = useCoversOn(needs);
  const cost = useMemo(() => practiceMinutes(job, [act])[0] ?? 0, [job, act]);
  const title = check?.title ?? remedy?.name ?? '';
  const held = (reason: string | null) => {
    const cover = covers[0];
    const live = cover ? handHeldBy(job, { cover: cover.id, thing: cover.name }) : [];
    if (!reason || live.length === 0) return setWrong(reason);
    // A hand on what is live is no matter of trying again.
    const what = live.map((h) => `${h.name}, ${h.detail}`).join('; ');
    record('practice.ended', {
      how: 'stopped',
      why: `Under the ${cover?.name} your hand would have met ${what}. The gate that was skipped: ${live.map((h) => h.clear.act).join('; ')}.`,
    });
  };
  const go = () => {
    const entry = entryOf(job, act);
    const refused =
      entry.type === 'check.recorded' ? record(entry.type, entry.payload) : record(entry.type, entry.payload);
    return refused ? setWrong(refused.reason) : onDone();
  };
  const covered = check ?? { title, trace: { id: '', minutes: 1, needs: needs ?? [] } };
  return (
    <div className="grid gap-2 content-start">
      <div className="lead">
        <h3 className="sec">{title}</h3>
        <span className="note">
          {[check?.about, check?.note, element && `${element.id} ${element.name}`].filter(Boolean).join('; ')}
        </span>
      </div>
      <p>
        It costs <b>{minutes(cost)}</b> now, with what it opens and switches
        {check ? `; ${powerOf(check) === 'either' ? 'powered or dead' : powerOf(check)}` : ''}.
      </p>
      {check && <LiveMeanwhile map={job.map} check={check} />}
      {covers.length > 0 ? (
        <CoverFirst check={covered as MapCheck} onRefused={held} />
      ) : (
        <Foot>
          <b className="text-[18px] max-w-[280px] leading-[1.15]">{title}</b>
          <Action keyName="Enter" onClick={go}>
            {check ? 'Do it, and see' : 'Do it, and try the unit'}
          </Action>
          <Second onClick={onDone}>Something else</Second>
        </Foot>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
