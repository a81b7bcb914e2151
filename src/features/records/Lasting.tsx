import { Line } from 'recharts';
import type { Taught } from '../../core/record';
import { Plot } from '../../ui/Plot';
import { percent } from './Figures';

/** Share of repairs that still hold, by days since the hand over. */
export function Lasting({ taught }: { taught: Taught }) {
  const { lasting, followed, comebackDays } = taught;
  if (followed === 0)
    return (
      <p className="note">
        Nothing can be followed yet: a repair is followed by the mark of its unit, read at Take in.
      </p>
    );
  const last = lasting.at(-1);
  const until = Math.max(comebackDays, last?.days ?? 0) * 1.05;
  const data = [
    { days: 0, lasting: 100, low: 100, high: 100 },
    ...lasting.map((s) => ({
      days: s.days,
      lasting: s.lasting * 100,
      low: s.low === null ? null : s.low * 100,
      high: s.high === null ? null : s.high * 100,
    })),
    ...(last
      ? [
          {
            days: until,
            lasting: last.lasting * 100,
            low: last.low === null ? null : last.low * 100,
            high: last.high === null ? null : last.high * 100,
          },
        ]
      : [{ days: until, lasting: 100, low: 100, high: 100 }]),
  ];
  const bound = { type: 'stepAfter', stroke: 'var(--color-slate-fill)', strokeDasharray: '3 4' } as const;
  return (
    <Plot
      data={data}
      label={`Of ${followed} repairs followed, ${percent(last?.lasting ?? 1)} still hold after ${last?.days ?? Math.round(until)} days`}
      x={{
        key: 'days',
        label: 'days since hand over',
        domain: [0, until],
        tick: (v) => String(Math.round(v)),
      }}
      y={{ domain: [0, 100], tick: (v) => `${v}\u00a0%`, width: 56 }}
      tip={{
        value: (v) => (v === null ? 'not known' : `${Math.round(v)}\u00a0%`),
        at: (v) => `after ${Math.round(v)} days`,
      }}
      height={210}
    >
      <Line dataKey="high" name="at most" {...bound} dot={false} isAnimationActive={false} />
      <Line dataKey="low" name="at least" {...bound} dot={false} isAnimationActive={false} />
      <Line
        dataKey="lasting"
        name="still hold"
        type="stepAfter"
        stroke="var(--color-slate)"
        strokeWidth={2.5}
        dot={false}
        isAnimationActive={false}
      />
    </Plot>
  );
}
