import { Line, ReferenceDot } from 'recharts';
import type { ChemistryRow } from '../../core/chemistry';
import { Plot } from '../../ui/Plot';

/** The table of one chemistry as a curve, the reading marked on it. */
export function RestChart({
  row,
  mark,
}: {
  row: ChemistryRow;
  mark?: { volts: number; percent: number } | undefined;
}) {
  const data = [...row.points].reverse().map(([volts, percent]) => ({ volts, percent }));
  return (
    <Plot
      data={data}
      label={`Rest voltage of ${row.chemistry} over its charge${mark ? `; here ${mark.volts.toFixed(2)} V, ${mark.percent.toFixed(0)} %` : ''}`}
      x={{ key: 'percent', label: 'full, %', domain: [0, 100] }}
      y={{ tick: (v) => `${v.toFixed(1)} V` }}
      tip={{ value: (v) => (v === null ? '' : `${v.toFixed(2)} V`), at: (v) => `${v.toFixed(0)} %` }}
    >
      <Line
        dataKey="volts"
        name="at rest"
        stroke="var(--color-bark)"
        strokeWidth={2}
        dot={false}
        isAnimationActive={false}
      />
      {mark && (
        <ReferenceDot
          x={mark.percent}
          y={mark.volts}
          r={6}
          fill="var(--color-ochre-fill)"
          stroke="var(--color-bark)"
          ifOverflow="extendDomain"
        />
      )}
    </Plot>
  );
}
