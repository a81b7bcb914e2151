import { Legend, Line, ReferenceLine } from 'recharts';
import type { ChemistryRow } from '../../core/chemistry';
import { type BatterySheet, runtimeCurve, runtimeHours } from '../../core/fit';
import { Plot } from '../../ui/Plot';

const hours = (h: number | null) =>
  h === null ? 'not known' : h >= 1 ? `${h.toFixed(1)} h` : `${Math.round(h * 60)} min`;

/** Hours over load, old beside new, with the user's load marked. */
export function RuntimePlot({
  old,
  fresh,
  amps,
  celsius,
  rows,
}: {
  old: BatterySheet;
  fresh: BatterySheet;
  amps: number;
  celsius: number;
  rows: ChemistryRow[];
}) {
  const data = runtimeCurve([old, fresh], amps, celsius, rows);
  const [a, b] = [runtimeHours(old, amps, celsius, rows), runtimeHours(fresh, amps, celsius, rows)];
  return (
    <div>
      <p>
        At {amps}&nbsp;A and {celsius}&nbsp;°C: old <b>{hours(a)}</b>, new <b>{hours(b)}</b>, roughly.
      </p>
      <Plot
        data={data}
        label={`Runtime over load: old ${hours(a)}, new ${hours(b)} at ${amps} A`}
        x={{ key: 'amps', label: 'load, A', tick: (v) => v.toPrecision(2) }}
        y={{ width: 56, unit: ' h' }}
        tip={{ value: hours, at: (v) => `${v.toPrecision(3)} A` }}
      >
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
      </Plot>
      <p className="note">
        Peukert by chemistry, to 80 or 90 % of the capacity, less in the cold. Common practice and from
        memory: a maker’s curve comes first.
      </p>
    </div>
  );
}
