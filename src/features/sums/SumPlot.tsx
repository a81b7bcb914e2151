import { Line, ReferenceDot, ReferenceLine } from 'recharts';
import type { Curve } from '../../core/sums';
import { Plot } from '../../ui/Plot';
import { withPrefix } from './typed';

const BIG = 20;

/** The curve of a sum, with where the figures typed stand on it. */
export function SumPlot({ curve }: { curve: Curve }) {
  const { x, y, points, mark, line } = curve;
  const [low, high] = [Math.min(...points.map((p) => p.y)), Math.max(...points.map((p) => p.y))];
  const log = low > 0 && high / low > BIG && !line;
  return (
    <Plot
      data={points}
      label={`${y.label} over ${x.label}${mark ? `; here ${withPrefix(mark.y, y.unit)} at ${withPrefix(mark.x, x.unit)}` : ''}`}
      x={{ key: 'x', label: `${x.label}, ${x.unit}`, tick: (v) => withPrefix(v, '') }}
      y={{
        width: 76,
        tick: (v) => withPrefix(v, y.unit),
        ...(log ? { scale: 'log' as const, domain: ['dataMin', 'dataMax'] as [string, string] } : {}),
      }}
      tip={{
        value: (v) => (v === null ? '' : withPrefix(v, y.unit)),
        at: (v) => withPrefix(v, x.unit),
      }}
    >
      {line && (
        <ReferenceLine
          y={line.y}
          stroke="var(--color-brick)"
          strokeDasharray="6 3"
          label={{
            value: line.says,
            position: 'insideTopRight',
            fontSize: 13,
            fill: 'var(--color-brick)',
          }}
        />
      )}
      <Line
        dataKey="y"
        name={y.label}
        stroke="var(--color-bark)"
        strokeWidth={2}
        dot={false}
        isAnimationActive={false}
      />
      {mark && (
        <ReferenceDot
          x={mark.x}
          y={mark.y}
          r={6}
          fill="var(--color-ochre-fill)"
          stroke="var(--color-bark)"
          ifOverflow="extendDomain"
        />
      )}
    </Plot>
  );
}
