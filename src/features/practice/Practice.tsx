import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import {
  type Exercise,
  FEWEST_ELEMENTS,
  FIND_IT,
  FIND_IT_SKILLS,
  KINDS,
  MOST_ELEMENTS,
  type PracticeKind,
  SHAPES,
  type Shape,
  type SkillStands,
  skillsOf,
  type Wanted,
  weakest,
} from '../../core/practice';
import { Action, Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { later } from '../../ui/later';
import { BeforeVisit } from './BeforeVisit';
import { PracticeFrame } from './PracticeFrame';
import { exercisePath, start } from './start';
import { percent } from './words';

/** Charts come when the page is idle. */
const Progress = later(() => import('./Progress').then((m) => m.Progress));

const HELP = [{ keys: '1 to 6', does: 'start an exercise of that kind' }];
const BACK = { href: '/', words: 'bench' };
export const ASKS: { kind: PracticeKind; asks: string; minutes: number; skills: readonly string[] }[] = [
  {
    kind: FIND_IT,
    asks: 'Trace a hidden fault to its remedy on the real screens; what each decision cost is told afterwards.',
    minutes: 5,
    skills: FIND_IT_SKILLS,
  },
  ...KINDS.map(({ id, asks, minutes, skills }) => ({ kind: id, asks, minutes, skills })),
];

/** Made-up units that practise a skill. */
const SHAPE_FOR: Record<string, NonNullable<Wanted['made']>> = {
  'two channels': { shape: 'two channels', size: 9 },
  'shared supply': { shape: 'shared supply', size: 8 },
  covers: { shape: 'nested covers', size: 7 },
};

/** The exercise for what is most due. */
function dueNow(stands: SkillStands[]): { skill: string; wanted: Wanted } {
  for (const { skill } of stands) {
    const ask = ASKS.find((a) => a.skills.includes(skill));
    if (ask)
      return { skill, wanted: { kind: ask.kind, made: SHAPE_FOR[skill] ?? { shape: 'chain', size: 7 } } };
  }
  return { skill: 'halving a chain', wanted: { kind: FIND_IT } };
}

export interface UnitKnown {
  id: string;
  name: string;
  place: string;
}

/** The practice bench: what is due, every kind of exercise, before a visit, how it goes. */
export function Practice({
  exercises,
  units,
  now,
}: {
  exercises: Exercise[];
  units: UnitKnown[];
  now: string;
}) {
  const [coach, setCoach] = useState(false);
  const [two, setTwo] = useState(false);
  const [on, setOn] = useState('');
  const [seed, setSeed] = useState('');
  const [shape, setShape] = useState<Shape>('chain');
  const [size, setSize] = useState('8');
  const [wrong, setWrong] = useState<{ where: string; reason: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const stands = useMemo(
    () =>
      skillsOf(
        exercises.flatMap((e) =>
          e.endedAt && e.score !== undefined && !e.again
            ? [{ at: e.endedAt, score: e.score, skills: e.skills }]
            : [],
        ),
        now,
      ),
    [exercises, now],
  );
  const due = useMemo(() => dueNow(stands), [stands]);
  const open = exercises.filter((e) => !e.endedAt).reverse();
  const go = async (where: string, wanted: Wanted) => {
    if (busy) return;
    const typed = seed.trim();
    if (typed && !/^-?\d{1,15}$/.test(typed)) {
      setWrong({ where: 'seed', reason: `a seed is a whole number, not “${typed}”` });
      return;
    }
    if (wanted.made && Number.isNaN(wanted.made.size)) {
      const reason = `how many: a whole number from ${FEWEST_ELEMENTS} to ${MOST_ELEMENTS}, not “${size}”`;
      setWrong({ where: 'size', reason });
      return;
    }
    setBusy(true);
    const failure = await start({
      ...wanted,
      coach,
      ...(two ? { faults: 2 as const } : {}),
      ...(typed ? { seed: Number(typed) } : {}),
    });
    setBusy(false);
    const field = { '/seed': 'seed', '/made': 'size', '/made/size': 'size' }[failure?.path ?? ''];
    setWrong(failure ? { where: field ?? where, reason: failure.reason } : null);
  };
  const chosen = (kind: PracticeKind): Wanted => ({
    kind,
    ...(on ? { unit: on } : { made: { shape, size: Number(size) } }),
  });
  const keys = Object.fromEntries(ASKS.map((a, i) => [String(i + 1), () => void go(a.kind, chosen(a.kind))]));
  return (
    <PracticeFrame
      title="Practice"
      about="Simulated units, real rules, no harm"
      label="Practice"
      back={BACK}
      help={HELP}
      keys={keys}
    >
      <div className="cols">
        <div>
          <section className="pad grid gap-3" aria-label="Exercises">
            <div className="lead">
              <h2 className="headline text-[26px]!">Exercises</h2>
              <span className="note">nothing of them is counted, learned or billed</span>
            </div>
            <div className="grid grid-cols-[minmax(0,1.7fr)_minmax(0,1.2fr)_minmax(0,0.8fr)_minmax(0,1fr)] max-[760px]:grid-cols-2 gap-3 items-start *:min-w-0 [&_select]:w-full">
              <SelectField label="On" value={on} onChange={(e) => setOn(e.target.value)} data-key="find">
                <option value="">a made-up unit</option>
                {units.map((u) => (
                  <option key={u.id} value={u.id}>
                    {u.name}
                    {u.place && `, ${u.place}`}
                  </option>
                ))}
              </SelectField>
              {on === '' && (
                <>
                  <SelectField
                    label="Built as"
                    value={shape}
                    onChange={(e) => setShape(e.target.value as Shape)}
                  >
                    {SHAPES.map((x) => (
                      <option key={x} value={x}>
                        {x}
                      </option>
                    ))}
                  </SelectField>
                  <TextField
                    label="Elements"
                    value={size}
                    onChange={(e) => setSize(e.target.value)}
                    inputMode="numeric"
                    hint={`${FEWEST_ELEMENTS} to ${MOST_ELEMENTS}`}
                    wrong={wrong?.where === 'size' ? wrong.reason : undefined}
                  />
                </>
              )}
              <TextField
                label="Seed"
                value={seed}
                onChange={(e) => setSeed(e.target.value)}
                inputMode="numeric"
                hint="the same one gives the same"
                wrong={wrong?.where === 'seed' ? wrong.reason : undefined}
              />
              <label className="flex gap-2 items-center col-span-full">
                <input type="checkbox" checked={coach} onChange={(e) => setCoach(e.target.checked)} />
                coach: after each decision, the best there was
              </label>
              <label className="flex gap-2 items-center col-span-full">
                <input type="checkbox" checked={two} onChange={(e) => setTwo(e.target.checked)} />
                two faults at once: told afterwards, without a score
              </label>
            </div>
          </section>
          <ol>
            {ASKS.map((a, i) => (
              <li
                key={a.kind}
                className="grid grid-cols-[40px_minmax(0,1fr)_auto] gap-3 items-center border-t border-rule px-[14px] py-2"
              >
                <span className="big text-[22px]">{i + 1}</span>
                <span className="leading-[1.25]">
                  <b>{a.kind.replace(/^./, (c) => c.toUpperCase())}</b>{' '}
                  <span className="note whitespace-nowrap">about {a.minutes}&nbsp;min</span>
                  <span className="block text-[15px]">{a.asks}</span>
                  {wrong?.where === a.kind && <Wrong>{wrong.reason}</Wrong>}
                </span>
                <Second onClick={() => go(a.kind, chosen(a.kind))} aria-label={`Start ${a.kind}`}>
                  Start
                </Second>
              </li>
            ))}
          </ol>
          {open.length > 0 && (
            <section className="pad border-t border-rule-strong grid gap-2" aria-label="Broken off">
              <h2 className="sec">Broken off</h2>
              <ul>
                {open.slice(0, 6).map((e) => (
                  <li
                    key={e.id}
                    className="flex justify-between gap-3 border-t border-rule py-1 items-center"
                  >
                    <span>
                      {e.kind}, {e.unit}
                    </span>
                    <a className="act-2 small" href={exercisePath(e)}>
                      Go on
                    </a>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <BeforeVisit units={units} />
        </div>
        <section className="pad grid gap-4 content-start" aria-label="How it goes">
          <Weakest stands={stands} />
          {exercises.some((e) => e.endedAt) ? (
            <>
              <Progress exercises={exercises} />
              <ComesBack stands={stands} now={now} />
              <p>
                <a href="/api/practice/progress.csv" download>
                  All of it as CSV
                </a>
              </p>
            </>
          ) : (
            <p className="note">
              Nothing is ended yet. After the first exercise this shows how each skill goes, and when it comes
              back.
            </p>
          )}
        </section>
      </div>
      <Foot>
        <span className="grid leading-[1.15]">
          <b className="text-[18px]">Due now: {due.skill}</b>
          <span className="note">{due.wanted.kind}</span>
        </span>
        <Action
          keyName="Enter"
          held={busy ? 'starting' : undefined}
          onClick={() => go(due.wanted.kind, due.wanted)}
        >
          {busy ? 'Starting' : 'Start it'}
        </Action>
      </Foot>
    </PracticeFrame>
  );
}

/** How the skills go, in a sentence. */
function Weakest({ stands }: { stands: SkillStands[] }) {
  const weak = weakest(stands);
  return (
    <>
      <div className="lead">
        <h2 className="sec">Skills</h2>
        <span className="note">
          {stands.filter((s) => s.due !== null).length} of {stands.length} practised
        </span>
      </div>
      {weak.length > 0 && (
        <p>
          Weakest lately: <b>{weak.map((s) => `${s.skill} ${percent(s.lately ?? 0)}`).join(', ')}</b>
        </p>
      )}
    </>
  );
}

/** Which skill comes back when. */
function ComesBack({ stands, now }: { stands: SkillStands[]; now: string }) {
  const known = stands.filter((s) => s.due !== null);
  if (known.length === 0) return null;
  return (
    <table className="story tight">
      <thead>
        <tr>
          <th scope="col">skill</th>
          <th scope="col">lately</th>
          <th scope="col">back</th>
        </tr>
      </thead>
      <tbody>
        {known.map((s) => (
          <tr key={s.skill}>
            <td>{s.skill}</td>
            <td className="whitespace-nowrap">{percent(s.lately ?? 0)}</td>
            <td className="whitespace-nowrap">
              {(s.due ?? '') <= now ? (
                <b className="text-ochre">due</b>
              ) : (
                format(new Date(s.due ?? now), 'd MMM')
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
