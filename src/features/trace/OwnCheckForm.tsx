import { useState } from 'react';
import { ulid } from 'ulid';
import type { OwnCheck, UnitMap } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Choices, TextField, toggled, Wrong } from '../../ui/Field';
import type { Refused } from '../job/store';

interface Answer {
  key: string;
  name: string;
  points: string[];
}

const fresh = (): Answer => ({ key: ulid(), name: '', points: [] });
const MARKS = (map: UnitMap) => map.elements.map((e) => ({ value: e.id, words: `${e.id} ${e.name}` }));

/** A check that does not follow from the map: what it tests, how long it takes, what its answers say. */
export function OwnCheckForm({ map, onDone }: { map: UnitMap; onDone(check: OwnCheck): Refused | null }) {
  const [name, setName] = useState('');
  const [minutes, setMinutes] = useState('2');
  const [kind, setKind] = useState<'two' | 'several'>('two');
  const [exercises, setExercises] = useState<string[]>([]);
  const [ok, setOk] = useState('works');
  const [bad, setBad] = useState('fails');
  const [answers, setAnswers] = useState<Answer[]>(() => [fresh(), fresh()]);
  const [wrong, setWrong] = useState<Refused | null>(null);
  const change = (key: string, more: Partial<Answer>) =>
    setAnswers(answers.map((a) => (a.key === key ? { ...a, ...more } : a)));

  const save = (e: React.FormEvent) => {
    e.preventDefault();
    const several = kind === 'several';
    if (!name.trim()) return setWrong({ path: '/check/name', reason: 'say what is done' });
    const empty = several && answers.some((a) => !a.name.trim());
    if (empty) return setWrong({ path: '/check/answers', reason: 'say in words what each answer is' });
    setWrong(
      onDone({
        id: ulid(),
        name: name.trim(),
        minutes: Number(minutes.replace(',', '.')) || 0,
        exercises: several ? [] : exercises,
        ...(several
          ? { answers: answers.map((a) => ({ id: a.key, name: a.name.trim(), points: a.points })) }
          : { ok: ok.trim() || 'works', bad: bad.trim() || 'fails' }),
      }),
    );
  };
  const at = (path: string) => (wrong?.path.startsWith(path) ? wrong.reason : undefined);
  const shown = ['/check/name', '/check/minutes', '/check/exercises', '/check/answers'];

  return (
    <form onSubmit={save} className="grid gap-4" noValidate>
      <div className="grid grid-cols-[minmax(0,1fr)_120px] gap-4">
        <TextField
          label="What is done"
          value={name}
          onChange={(e) => setName(e.target.value)}
          placeholder="knock on the mixer board"
          wrong={at('/check/name')}
          autoComplete="off"
        />
        <TextField
          label="Minutes"
          value={minutes}
          onChange={(e) => setMinutes(e.target.value)}
          inputMode="decimal"
          wrong={at('/check/minutes')}
        />
      </div>
      <Choices
        label="It answers"
        name="own-kind"
        value={kind}
        onPick={(v) => setKind(v as 'two' | 'several')}
        options={[
          { value: 'two', words: 'one of two words' },
          { value: 'several', words: 'one of several codes, messages, lamps' },
        ]}
      />
      {kind === 'two' ? (
        <>
          <Choices
            many
            label="What has to work for it to come out good"
            name="own-tests"
            value={exercises}
            onPick={(v) => setExercises(toggled(exercises, v))}
            options={MARKS(map)}
            wrong={at('/check/exercises')}
          />
          <div className="grid grid-cols-2 gap-4">
            <TextField label="Good is called" value={ok} onChange={(e) => setOk(e.target.value)} />
            <TextField label="Bad is called" value={bad} onChange={(e) => setBad(e.target.value)} />
          </div>
        </>
      ) : (
        <div className="grid gap-3">
          {answers.map((a, i) => (
            <div key={a.key} className="grid gap-2 border-l-4 border-rule-strong pl-3">
              <TextField
                label={`Answer ${i + 1}`}
                value={a.name}
                onChange={(e) => change(a.key, { name: e.target.value })}
                placeholder="error 14"
                autoComplete="off"
              />
              <Choices
                many
                label="points at (nothing = all is well)"
                name={`own-points-${a.key}`}
                value={a.points}
                onPick={(v) => change(a.key, { points: toggled(a.points, v) })}
                options={MARKS(map)}
              />
            </div>
          ))}
          <Second small className="justify-self-start" onClick={() => setAnswers([...answers, fresh()])}>
            One more answer
          </Second>
          {at('/check/answers') && <Wrong>{at('/check/answers')}</Wrong>}
        </div>
      )}
      {wrong && !shown.some((p) => wrong.path.startsWith(p)) && <Wrong>{wrong.reason}</Wrong>}
      <Action type="submit" className="justify-self-start" keyName="Enter">
        Add it
      </Action>
    </form>
  );
}
