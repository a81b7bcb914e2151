import { useMemo, useState } from 'react';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { type LoggedSeries, meanBetween } from '../../core/logged';
import { formatReading, type Tap } from '../../core/unit';
import { Action } from '../../ui/Action';

export interface LogPlotProps {
  series: LoggedSeries;
  expect: NonNullable<Tap['expect']>;
  /** the reading picked, in the unit of the point */
  onPick(value: number): void;
}

/** Points a screen can show; the mean is taken over all of them. */
const DRAWN = 600;

/** The log over time with the expected range on it; a stretch is chosen with two sliders or a tap. */
export function LogPlot({ series, expect, onPick }: LogPlotProps) {
  const { points } = series;
  const [from, setFrom] = useState(0);
  const [to, setTo] = useState(points.length - 1);
  const drawn = useMemo(() => {
    const every = Math.ceil(points.length / DRAWN);
    return points.filter((_, i) => i % every === 0);
  }, [points]);
  const at = (i: number) => points[Math.min(Math.max(i, 0), points.length - 1)]?.t ?? 0;
  const taken = meanBetween(series, at(from), at(to));
  const { unit, nominal, tolerance } = expect;
  const seconds = (t: number) => formatReading(t, 's');
  return (
    <div className="grid gap-3">
      <p className="note">
        {points.length} readings over {seconds(points.at(-1)?.t ?? 0)}
        {series.skipped > 0 && `, ${series.skipped} rows without one left out`}. Wanted {nominal} ±{' '}
        {tolerance}
        &nbsp;{unit}.
      </p>
      <div role="img" aria-label={`${series.name} over time, mean ${formatReading(taken.mean, unit)}`}>
        <ResponsiveContainer width="100%" height={260} initialDimension={{ width: 560, height: 260 }}>
          <LineChart
            data={drawn}
            margin={{ top: 8, right: 12, bottom: 20, left: 8 }}
            onClick={(e) => {
              const i = points.findIndex((p) => p.t >= Number(e?.activeLabel ?? Number.NaN));
              if (i >= 0) {
                setFrom(i);
                setTo(i);
              }
            }}
          >
            <CartesianGrid stroke="var(--color-rule)" vertical={false} />
            <XAxis
              dataKey="t"
              type="number"
              domain={['dataMin', 'dataMax']}
              stroke="var(--color-bark-2)"
              tick={{ fontSize: 13 }}
              label={{ value: 'seconds', position: 'insideBottom', offset: -12, fontSize: 13 }}
            />
            <YAxis
              domain={['auto', 'auto']}
              stroke="var(--color-bark-2)"
              tick={{ fontSize: 13 }}
              width={64}
              unit={` ${unit}`}
            />
            <ReferenceArea
              y1={nominal - tolerance}
              y2={nominal + tolerance}
              fill="var(--color-moss-wash)"
              stroke="var(--color-moss)"
              ifOverflow="extendDomain"
            />
            <ReferenceLine x={at(from)} stroke="var(--color-slate)" strokeWidth={2} />
            <ReferenceLine x={at(to)} stroke="var(--color-slate)" strokeWidth={2} />
            <Tooltip
              formatter={(v) => formatReading(Number(v), unit)}
              labelFormatter={(t) => seconds(Number(t))}
              contentStyle={{
                background: 'var(--color-paper)',
                border: '1px solid var(--color-rule-strong)',
              }}
            />
            <Line
              dataKey="value"
              name={series.name}
              stroke="var(--color-bark)"
              strokeWidth={1.6}
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      {(
        [
          ['From', from, setFrom],
          ['To', to, setTo],
        ] as const
      ).map(([label, value, set]) => (
        <label
          key={label}
          className="grid grid-cols-[52px_minmax(0,1fr)_90px] gap-3 items-center min-h-[44px]"
        >
          <b>{label}</b>
          <input
            type="range"
            min={0}
            max={points.length - 1}
            value={value}
            onChange={(e) => set(Number(e.target.value))}
            className="w-full accent-current min-h-[44px]"
          />
          <span className="text-right">{seconds(at(value))}</span>
        </label>
      ))}
      <p>
        <b className="text-[20px]">{formatReading(taken.mean, unit)}</b>
        {taken.spread !== null && `, mean of ${taken.count}, spread ${formatReading(taken.spread, unit)}`}
      </p>
      <Action className="justify-self-start" onClick={() => onPick(taken.mean)}>
        Take this reading
      </Action>
    </div>
  );
}
