import type { ReactNode } from 'react';
import { CartesianGrid, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';

type Scale = { domain?: [string | number, string | number]; scale?: 'log' | 'linear' };

interface PlotProps {
  data: object[];
  /** spoken for those who do not see it */
  label: string;
  x: { key: string; label: string; tick?: (v: number) => string } & Scale;
  y: { width?: number; tick?: (v: number) => string; unit?: string } & Scale;
  tip: { value: (v: number | null) => string; at: (v: number) => string };
  height?: number;
  onPick?: ((x: number) => void) | undefined;
  children: ReactNode;
}

/** The frame all charts share: hairline grid, one ink, figures with their units; lines and marks go inside. */
export function Plot({ data, label, x, y, tip, height = 230, onPick, children }: PlotProps) {
  return (
    <div role="img" aria-label={label} className="min-w-0 overflow-hidden">
      <ResponsiveContainer width="100%" height={height} initialDimension={{ width: 560, height }}>
        <LineChart
          data={data}
          margin={{ top: 12, right: 18, bottom: 22, left: 8 }}
          {...(onPick ? { onClick: (e) => onPick(Number(e?.activeLabel ?? Number.NaN)) } : {})}
        >
          <CartesianGrid stroke="var(--color-rule)" vertical={false} />
          <XAxis
            dataKey={x.key}
            type="number"
            domain={x.domain ?? ['dataMin', 'dataMax']}
            stroke="var(--color-bark-2)"
            tick={{ fontSize: 13 }}
            {...(x.tick ? { tickFormatter: (v) => x.tick?.(Number(v)) ?? '' } : {})}
            label={{
              value: x.label,
              position: 'insideBottom',
              offset: -14,
              fontSize: 13,
              fill: 'var(--color-bark-2)',
            }}
          />
          <YAxis
            domain={y.domain ?? ['auto', 'auto']}
            scale={y.scale ?? 'linear'}
            stroke="var(--color-bark-2)"
            tick={{ fontSize: 13 }}
            width={y.width ?? 64}
            {...(y.unit ? { unit: y.unit } : {})}
            {...(y.tick ? { tickFormatter: (v) => y.tick?.(Number(v)) ?? '' } : {})}
          />
          <Tooltip
            formatter={(v) => tip.value(v === undefined || v === null ? null : Number(v))}
            labelFormatter={(v) => tip.at(Number(v))}
            contentStyle={{ background: 'var(--color-paper)', border: '1px solid var(--color-rule-strong)' }}
          />
          {children}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
