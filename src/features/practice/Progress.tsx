import { useMemo, useState } from 'react';
import { Line } from 'recharts';
import { type Exercise, SKILLS } from '../../core/practice';
import { SelectField } from '../../ui/Field';
import { Plot } from '../../ui/Plot';

const percent = (v: number) => `${Math.round(v)}\u00a0%`;
const wayOf = (e: Exercise, name: string): number | null => {
  const way = e.ways?.find((w) => w.name === name);
  return way ? way.score * 100 : null;
};

/** Score by skill over time, beside what the usual ways by hand would have scored on the same units. */
export function Progress({ exercises }: { exercises: Exercise[] }) {
  const [skill, setSkill] = useState('');
  const data = useMemo(
    () =>
      exercises
        .filter((e) => e.endedAt && e.score !== undefined && !e.again)
        .filter((e) => skill === '' || e.skills.some((s) => s === skill))
        .map((e, i) => ({
          n: i + 1,
          own: (e.score ?? 0) * 100,
          halving: wayOf(e, 'halving'),
          source: wayOf(e, 'from the source on'),
        })),
    [exercises, skill],
  );
  const practised = SKILLS.filter((s) =>
    exercises.some((e) => e.score !== undefined && e.skills.includes(s)),
  );
  const byHand = data.some((d) => d.halving !== null);
  return (
    <div className="grid gap-2">
      <SelectField label="Score over time" value={skill} onChange={(e) => setSkill(e.target.value)}>
        <option value="">all skills</option>
        {practised.map((s) => (
          <option key={s} value={s}>
            {s}
          </option>
        ))}
      </SelectField>
      {data.length === 0 ? (
        <p className="note">No score yet: a run that was left or stopped has none.</p>
      ) : (
        <>
          <Plot
            data={data}
            label={`Score of ${data.length} exercises, the last ${percent(data.at(-1)?.own ?? 0)}`}
            x={{
              key: 'n',
              label: 'exercise',
              domain: [1, Math.max(2, data.length)],
              tick: (v) => (Number.isInteger(v) ? String(v) : ''),
            }}
            y={{ domain: [0, 100], tick: percent, width: 56 }}
            tip={{ value: (v) => (v === null ? 'none' : percent(v)), at: (v) => `exercise ${v}` }}
          >
            {byHand && (
              <Line
                dataKey="source"
                name="from the source on"
                stroke="var(--color-bark-3)"
                strokeDasharray="2 4"
                dot={false}
                connectNulls
                isAnimationActive={false}
              />
            )}
            {byHand && (
              <Line
                dataKey="halving"
                name="halving"
                stroke="var(--color-slate)"
                strokeDasharray="7 4"
                dot={false}
                connectNulls
                isAnimationActive={false}
              />
            )}
            <Line
              dataKey="own"
              name="own"
              stroke="var(--color-ochre)"
              strokeWidth={2.4}
              dot={{ r: 3, fill: 'var(--color-ochre-fill)' }}
              isAnimationActive={false}
            />
          </Plot>
          {byHand && (
            <p className="note">
              Drawn through: yours. Long dashes: halving, on the same units. Dots: from the source on.
            </p>
          )}
        </>
      )}
    </div>
  );
}
