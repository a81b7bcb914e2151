import { useMemo, useState } from 'react';
import { Line, ReferenceArea, ReferenceLine } from 'recharts';
import { type LoggedSeries, meanBetween } from '../../core/logged';
import { formatReading, type Tap } from '../../core/unit';
import { Action } from '../../ui/Action';
import { Plot } from '../../ui/Plot';

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
      <Plot
        data={drawn}
        height={260}
        label={`${series.name} over time, mean ${formatReading(taken.mean, unit)}`}
        x={{ key: 't', label: 'seconds' }}
        y={{ unit: ` ${unit}` }}
        tip={{ value: (v) => (v === null ? '' : formatReading(v, unit)), at: seconds }}
        onPick={(t) => {
          const i = points.findIndex((p) => p.t >= t);
          if (i >= 0) {
            setFrom(i);
            setTo(i);
          }
        }}
      >
        <ReferenceArea
          y1={nominal - tolerance}
          y2={nominal + tolerance}
          fill="var(--color-moss-wash)"
          stroke="var(--color-moss)"
          ifOverflow="extendDomain"
        />
        <ReferenceLine x={at(from)} stroke="var(--color-slate)" strokeWidth={2} />
        <ReferenceLine x={at(to)} stroke="var(--color-slate)" strokeWidth={2} />
        <Line
          dataKey="value"
          name={series.name}
          stroke="var(--color-bark)"
          strokeWidth={1.6}
          dot={false}
          isAnimationActive={false}
        />
      </Plot>
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
