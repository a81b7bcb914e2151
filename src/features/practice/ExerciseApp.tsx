import { useCallback, useMemo, useRef, useState } from 'react';
import { type Exercise, type Judged, judgeAnswer, type KindId, kindOf } from '../../core/practice';
import type { UnitMap } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot, toFoot } from '../../ui/Foot';
import { send } from '../units/send';
import { PracticeFrame } from './PracticeFrame';
import { Result } from './Result';
import { SHEETS } from './sheets/registry';
import { start } from './start';

const HELP = [
  { keys: 'Space', does: 'the next one' },
  { keys: 'Tab', does: 'along what can be chosen' },
  { keys: 'A S D F', does: 'the answers of a quick reading' },
];
const BACK = { href: '/practice', words: 'back to Practice' };
const NO_KEYS = {};

/** Keeps an answer; where it is done, what it came to comes back. */
const kept = (id: string, answer: unknown, done: boolean) =>
  send<{ exercise: Exercise; judged?: Judged }>(
    `/api/practice/${id}`,
    { at: new Date().toISOString(), answer, done },
    'PUT',
  );

/** One exercise on a sheet of its own: asked, answered, judged. */
export function ExerciseApp({ exercise: first, map }: { exercise: Exercise; map: UnitMap }) {
  const [exercise, setExercise] = useState(first);
  const [wrong, setWrong] = useState<string | null>(null);
  const kind = kindOf(exercise.kind);
  const question = useMemo(() => kind?.make(map, exercise.seed), [kind, map, exercise.seed]);
  const [judged, setJudged] = useState<Judged | null>(() =>
    first.endedAt ? judgeAnswer(first.kind as KindId, map, first.seed, first.answer) : null,
  );
  const over = judged !== null;
  const latest = useRef(exercise);
  latest.current = exercise;
  const [judging, setJudging] = useState(false);
  // One after the other: on a slow line an earlier answer would otherwise come last.
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const put = useCallback(async (answer: unknown, done: boolean) => {
    if (done) setJudging(true);
    const before = line.current;
    const sending = before.then(() => kept(latest.current.id, answer, done));
    line.current = sending;
    const sent = await sending;
    if (done) setJudging(false);
    if (!sent.ok) return setWrong(sent.failure.reason);
    setWrong(null);
    if (done) {
      setExercise(sent.data.exercise);
      setJudged(sent.data.judged ?? null);
      toFoot();
    }
  }, []);
  const onAnswer = useCallback(
    (answer: unknown) => {
      if (over) return;
      setExercise((e) => ({ ...e, answer }));
      void put(answer, false);
    },
    [put, over],
  );
  const onDone = useCallback(
    (answer: unknown) => {
      if (over || judging) return;
      setExercise((e) => ({ ...e, answer }));
      void put(answer, true);
    },
    [put, over, judging],
  );
  const [fresh, setFresh] = useState(false);
  const another = async () => {
    setFresh(true);
    const failure = await start({ kind: exercise.kind });
    setFresh(false);
    setWrong(failure?.reason ?? null);
  };
  if (!kind) return null;
  const Sheet = SHEETS[exercise.kind as KindId];
  return (
    <PracticeFrame
      title={exercise.kind.replace(/^./, (c) => c.toUpperCase())}
      about={kind.asks}
      label={exercise.kind}
      busy={judging}
      back={BACK}
      help={HELP}
      keys={NO_KEYS}
    >
      <section className="practice-band" aria-label="Practice">
        <b className="practice-mark">Practice</b>
        <span className="note">
          {exercise.unit}, seed {exercise.seed}. Nothing of it is counted or learned
        </span>
      </section>
      {wrong && (
        <p className="pad">
          <Wrong>{wrong}</Wrong>
        </p>
      )}
      {judged && <Result judged={judged} />}
      <Sheet question={question} answer={exercise.answer} onAnswer={onAnswer} onDone={onDone} over={over} />
      {over && (
        <Foot>
          <b className="text-[18px]">Done</b>
          <Action keyName="Enter" held={fresh ? 'starting' : undefined} onClick={another}>
            Another one
          </Action>
          <Second onClick={() => window.location.assign('/practice')}>Back to Practice</Second>
        </Foot>
      )}
    </PracticeFrame>
  );
}
