import { useEffect, useMemo, useRef, useState } from 'react';
import { actsOf, fold, type JobEvent, practiceClock } from '../../core/job';
import type { Exercise } from '../../core/practice';
import { cone, deriveChecks } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { Chain } from '../trace/Chain';
import { send } from '../units/send';
import { PracticeFrame } from './PracticeFrame';
import { again } from './start';
import { useStory, waysFor } from './use-story';
import { actWords, hiddenWords, minutes, percent } from './words';

const HELP = [{ keys: '↑ ↓', does: 'along the decisions' }];
const BACK = { href: '/practice', words: 'back to Practice' };

/** A run afterwards: one sentence worth remembering, then decision by decision. */
export function FindItStory({ exercise, events }: { exercise: Exercise; events: JobEvent[] }) {
  const job = useMemo(() => fold(events).state, [events]);
  const acts = useMemo(() => actsOf(job), [job]);
  const clock = useMemo(() => practiceClock(job), [job]);
  const checks = useMemo(() => deriveChecks(job.map), [job.map]);
  const { story, share } = useStory(job);
  const [at, setAt] = useState(0);
  const [wrong, setWrong] = useState<string | null>(null);
  const over = job.practiceOver;
  // What it came to is kept once it is known.
  const told = useRef(false);
  useEffect(() => {
    if (!story || !over || exercise.endedAt || told.current) return;
    told.current = true;
    void waysFor(job).then(async (ways) => {
      const sent = await send(
        `/api/practice/${exercise.id}`,
        {
          at: new Date().toISOString(),
          done: true,
          run: {
            score: over.how === 'mended' ? story.score : null,
            minutes: clock.total,
            ...(story.optimum === null ? {} : { optimum: story.optimum }),
            ...(ways.length ? { ways } : {}),
            remember: over.how === 'stopped' ? (over.why ?? story.remember) : story.remember,
          },
        },
        'PUT',
      );
      if (!sent.ok) setWrong(sent.failure.reason);
    });
  }, [story, over, exercise, clock, job]);
  const [starting, setStarting] = useState(false);
  const goAgain = async () => {
    setStarting(true);
    const failure = await again(exercise.id, at);
    setStarting(false);
    setWrong(failure?.reason ?? null);
  };
  const last = acts.length - 1;
  const keys = useMemo(
    () => ({
      ArrowDown: () => setAt((n) => Math.max(0, Math.min(last, n + 1))),
      ArrowUp: () => setAt((n) => Math.max(0, n - 1)),
    }),
    [last],
  );
  const line = story?.lines[at];
  const path = new Set(
    job.map.functions
      .filter((f) => f.id === job.intake?.function || job.intake?.alsoFails?.includes(f.id))
      .flatMap((f) => cone(job.map, f.output)),
  );
  const chosen = acts[at]?.act;
  const headline =
    over?.how === 'stopped'
      ? (over.why ?? '')
      : !story
        ? `Reckoning what each decision cost, ${percent(share)}`
        : story.lines.length
          ? story.remember
          : 'Nothing was decided.';
  return (
    <PracticeFrame
      title="Find it, afterwards"
      about={`${exercise.unit}. It was ${hiddenWords(job)}`}
      label="Story"
      busy={!story}
      back={BACK}
      help={HELP}
      keys={keys}
    >
      <section className="practice-band" aria-label="Practice">
        <b className="practice-mark">Practice</b>
        <span className="big text-[20px]">{minutes(clock.total)}</span>
        <span className="note">
          {story?.score != null && over?.how === 'mended' && (
            <>
              score <b>{percent(story.score)}</b>, best way from the start {minutes(story.optimum ?? 0)} as a
              mean;{' '}
            </>
          )}
          {exercise.again ? 'gone over again, not counted' : `seed ${exercise.seed}`}
        </span>
      </section>
      <section className="pad grid gap-2">
        <h2 className="headline">{headline}</h2>
        {wrong && <Wrong>{wrong}</Wrong>}
        {line && (
          <Chain
            map={job.map}
            checks={checks}
            records={job.trace.slice(0, at)}
            suspicion={new Map(line.belief.map((b) => [b.id, b.p]))}
            forecast={null}
            chosen={chosen && 'check' in chosen ? checks.find((c) => c.id === chosen.check) : undefined}
            path={path}
          />
        )}
      </section>
      {story && story.lines.length > 0 && (
        <table className="story">
          <caption className="sr-only">Decision by decision</caption>
          <thead>
            <tr>
              <th scope="col">#</th>
              <th scope="col">chosen</th>
              <th scope="col">told</th>
              <th scope="col">took</th>
              <th scope="col">best there was</th>
              <th scope="col">lost</th>
            </tr>
          </thead>
          <tbody>
            {story.lines.map((l, i) => (
              <tr key={l.entry} aria-selected={i === at} className={i === at ? 'bg-ochre-wash' : ''}>
                <td>
                  <button
                    type="button"
                    className="big text-[18px] min-h-[40px] min-w-[40px]"
                    aria-pressed={i === at}
                    onClick={() => setAt(i)}
                  >
                    {i + 1}
                  </button>
                </td>
                <td>{actWords(job.map, l.own)}</td>
                <td className="whitespace-nowrap">
                  {l.bits === undefined ? 'mended or not' : `${l.bits.toFixed(2)} bits`}
                </td>
                <td className="whitespace-nowrap">{minutes(clock.minutes[i] ?? 0)}</td>
                <td>
                  {l.regret < 0.05 ? (
                    <span className="text-moss font-[600]">nothing better</span>
                  ) : (
                    <>
                      {actWords(job.map, l.best)}{' '}
                      <span className="note">
                        mended in {minutes(l.best.minutes)}, not {minutes(l.own.minutes)}
                      </span>
                    </>
                  )}
                </td>
                <td className={`whitespace-nowrap ${l.regret < 0.05 ? '' : 'text-ochre font-[700]'}`}>
                  {l.regret < 0.05 ? '0' : minutes(l.regret)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {story && (
        <p className="pad note">
          {story.lines.some((l) => l.method !== 'exact')
            ? 'Some decisions were weighed by looking two checks ahead: the unit is too large to look at every way on.'
            : 'Every way on was looked at.'}
        </p>
      )}
      <Foot>
        <b className="text-[18px]">
          {acts.length ? `What if, at decision ${at + 1}` : 'Nothing was decided'}
        </b>
        <Action
          keyName="Enter"
          held={starting ? 'starting' : acts.length ? undefined : 'there is nothing to go over'}
          onClick={goAgain}
        >
          Choose otherwise there
        </Action>
        <Second onClick={() => window.location.assign('/practice')}>Back to Practice</Second>
      </Foot>
    </PracticeFrame>
  );
}
