import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { type BatterySheet, runtimeCurve, runtimeHours } from '../../core/fit';

const hours = (h: number | null) =>
  h === null ? 'not known' : h >= 1 ? `${h.toFixed(1)} h` : `${Math.round(h * 60)} min`;

/** Hours over load, old beside new, with the user's load marked. */
export function RuntimePlot({
  old,
  fresh,
  amps,
  celsius,
}: {
  old: BatterySheet;
  fresh: BatterySheet;
  amps: number;
  celsius: number;
}) {
  const data = runtimeCurve([old, fresh], amps, celsius);
  const [a, b] = [runtimeHours(old, amps, celsius), runtimeHours(fresh, amps, celsius)];
  return (
    <div>
      <p>
        At {amps}&nbsp;A and {celsius}&nbsp;°C: old <b>{hours(a)}</b>, new <b>{hours(b)}</b>, roughly.
      </p>
      <div role="img" aria-label={`Runtime over load: old ${hours(a)}, new ${hours(b)} at ${amps} A`}>
        <ResponsiveContainer width="100%" height={220} initialDimension={{ width: 520, height: 220 }}>
          <LineChart data={data} margin={{ top: 10, right: 16, bottom: 20, left: 4 }}>
            <CartesianGrid stroke="var(--color-rule)" vertical={false} />
            <XAxis
              dataKey="amps"
              type="number"
              domain={['dataMin', 'dataMax']}
              stroke="var(--color-bark-2)"
              tick={{ fontSize: 13 }}
              tickFormatter={(v) => Number(v).toPrecision(2)}
              label={{ value: 'load, A', position: 'insideBottom', offset: -12, fontSize: 13 }}
            />
            <YAxis stroke="var(--color-bark-2)" tick={{ fontSize: 13 }} width={56} unit=" h" />
            <Tooltip
              formatter={(v) => hours(v === undefined || v === null ? null : Number(v))}
              labelFormatter={(v) => `${Number(v).toPrecision(3)} A`}
              contentStyle={{
                background: 'var(--color-paper)',
                border: '1px solid var(--color-rule-strong)',
              }}
            />
            <Legend verticalAlign="top" height={24} />
            <ReferenceLine
              x={data.reduce((p, q) => (Math.abs(q.amps - amps) < Math.abs(p.amps - amps) ? q : p)).amps}
              stroke="var(--color-slate)"
              strokeWidth={2}
            />
            <Line
              dataKey="old"
              name="old"
              stroke="var(--color-bark-3)"
              strokeWidth={2}
              strokeDasharray="6 4"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="new"
              name="new"
              stroke="var(--color-bark)"
              strokeWidth={2.4}
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <p className="note">
        Peukert by chemistry, to 80 or 90 % of the capacity, less in the cold. Common practice and from
        memory: a maker’s curve comes first.
      </p>
    </div>
  );
}
