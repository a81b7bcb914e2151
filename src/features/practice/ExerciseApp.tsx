import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type Exercise, type Judged, judgeAnswer, type KindId, kindOf } from '../../core/practice';
import type { UnitMap } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot, FootHost, theNext, theOneAction, toFoot } from '../../ui/Foot';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysDialog, useEscape, useKeys } from '../../ui/Keys';
import { toggleTheme } from '../../ui/ThemeButton';
import { useFocusNeverLost } from '../../ui/use-focus-never-lost';
import { send } from '../units/send';
import { Result } from './Result';
import { SHEETS } from './sheets/registry';
import { start } from './start';

const HELP = [
  { keys: 'Enter', does: 'the one action' },
  { keys: 'Space', does: 'the next one' },
  { keys: 'Tab', does: 'along what can be chosen' },
  { keys: 'A S D F', does: 'the answers of a quick reading' },
  { keys: 'B', does: 'back to Practice' },
  { keys: 'N', does: 'night and day' },
  { keys: '?', does: 'these keys' },
];

/** One exercise on a sheet of its own: asked, answered, judged. */
export function ExerciseApp({ exercise: first, map }: { exercise: Exercise; map: UnitMap }) {
  const [exercise, setExercise] = useState(first);
  const [wrong, setWrong] = useState<string | null>(null);
  const [keys, setKeys] = useState(false);
  const kind = kindOf(exercise.kind);
  const question = useMemo(() => kind?.make(map, exercise.seed), [kind, map, exercise.seed]);
  const [judged, setJudged] = useState<Judged | null>(() =>
    first.endedAt ? judgeAnswer(first.kind as KindId, map, first.seed, first.answer) : null,
  );
  const over = judged !== null;
  const latest = useRef(exercise);
  latest.current = exercise;
  const put = useCallback(async (answer: unknown, done: boolean) => {
    const sent = await send<{ exercise: Exercise; judged?: Judged }>(
      `/api/practice/${latest.current.id}`,
      { at: new Date().toISOString(), answer, done },
      'PUT',
    );
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
      if (over) return;
      setExercise((e) => ({ ...e, answer }));
      void put(answer, true);
    },
    [put, over],
  );
  useFocusNeverLost(toFoot);
  useEscape(toFoot);
  useKeys(
    useMemo(
      () => ({
        b: () => window.location.assign('/practice'),
        n: () => void toggleTheme(),
        Enter: theOneAction,
        Space: theNext,
        '?': () => setKeys(true),
        'Shift+?': () => setKeys(true),
      }),
      [],
    ),
  );
  const [fresh, setFresh] = useState(false);
  const another = async () => {
    setFresh(true);
    const failure = await start({ kind: exercise.kind });
    setFresh(false);
    setWrong(failure?.reason ?? null);
  };
  useEffect(() => toFoot(), []);
  if (!kind) return null;
  const Sheet = SHEETS[exercise.kind as KindId];
  return (
    <Frame className="alone">
      <Head
        tag={<span className="tag mono">practice</span>}
        title={exercise.kind.replace(/^./, (c) => c.toUpperCase())}
        about={kind.asks}
        onKeys={() => setKeys(true)}
      >
        <a href="/practice">Practice</a>
        <a href="/">Bench</a>
      </Head>
      <FootHost below={null}>
        <main className="main" id="main" aria-label={exercise.kind}>
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
          <Sheet
            question={question}
            answer={exercise.answer}
            onAnswer={onAnswer}
            onDone={onDone}
            over={over}
          />
          {over && (
            <Foot>
              <b className="text-[18px]">Done</b>
              <Action keyName="Enter" held={fresh ? 'starting' : undefined} onClick={another}>
                Another one
              </Action>
              <Second onClick={() => window.location.assign('/practice')}>Back to Practice</Second>
            </Foot>
          )}
        </main>
      </FootHost>
      <KeysDialog open={keys} onClose={() => setKeys(false)} help={HELP} />
    </Frame>
  );
}
