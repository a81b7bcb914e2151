import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { Curve } from '../../core/sums';
import { withPrefix } from './typed';

const BIG = 20;

/** The curve of a sum, with where the figures typed stand on it. */
export function SumPlot({ curve }: { curve: Curve }) {
  const { x, y, points, mark, line } = curve;
  const [low, high] = [Math.min(...points.map((p) => p.y)), Math.max(...points.map((p) => p.y))];
  const log = low > 0 && high / low > BIG && !line;
  return (
    <div
      role="img"
      aria-label={`${y.label} over ${x.label}${mark ? `; here ${withPrefix(mark.y, y.unit)} at ${withPrefix(mark.x, x.unit)}` : ''}`}
    >
      <ResponsiveContainer width="100%" height={230} initialDimension={{ width: 560, height: 230 }}>
        <LineChart data={points} margin={{ top: 12, right: 18, bottom: 22, left: 8 }}>
          <CartesianGrid stroke="var(--color-rule)" vertical={false} />
          <XAxis
            dataKey="x"
            type="number"
            domain={['dataMin', 'dataMax']}
            stroke="var(--color-bark-2)"
            tick={{ fontSize: 13 }}
            tickFormatter={(v) => withPrefix(Number(v), '')}
            label={{ value: `${x.label}, ${x.unit}`, position: 'insideBottom', offset: -14, fontSize: 13 }}
          />
          <YAxis
            scale={log ? 'log' : 'linear'}
            domain={log ? ['dataMin', 'dataMax'] : ['auto', 'auto']}
            stroke="var(--color-bark-2)"
            tick={{ fontSize: 13 }}
            width={76}
            tickFormatter={(v) => withPrefix(Number(v), y.unit)}
          />
          <Tooltip
            formatter={(v) => withPrefix(Number(v), y.unit)}
            labelFormatter={(v) => withPrefix(Number(v), x.unit)}
            contentStyle={{ background: 'var(--color-paper)', border: '1px solid var(--color-rule-strong)' }}
          />
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
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
