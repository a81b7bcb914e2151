interface RangeStripProps {
  low: number;
  high: number;
  nominal: number;
  tolerance: number;
  unit: string;
  /** reading typed or recorded, in the same unit */
  value?: number | undefined;
  width?: number;
}

const step = (span: number) => {
  const rough = span / 5;
  const ten = 10 ** Math.floor(Math.log10(rough));
  return ([1, 2, 5, 10].find((m) => m * ten >= rough) ?? 10) * ten;
};

/** The span a reading can lie in, the range it should lie in, and the reading on it. */
export function RangeStrip({ low, high, nominal, tolerance, unit, value, width = 364 }: RangeStripProps) {
  const lo = Math.min(low, value ?? low);
  const hi = Math.max(high, value ?? high);
  const x = (v: number) => ((v - lo) / (hi - lo)) * width;
  const s = step(hi - lo);
  const ticks: number[] = [];
  for (let t = Math.ceil(lo / s) * s; t <= hi + s / 1000; t += s) ticks.push(Number(t.toPrecision(6)));
  const inside = value !== undefined && Math.abs(value - nominal) <= tolerance;
  const text = `Wanted ${nominal} ± ${tolerance} ${unit}${value === undefined ? '' : `, reading ${value} ${unit}`}`;
  return (
    <svg
      width="100%"
      viewBox={`-6 -10 ${width + 12} 44`}
      role="img"
      aria-label={text}
      style={{ maxWidth: width + 12 }}
    >
      <rect x="0" y="0" width={width} height="15" fill="var(--color-inset)" stroke="var(--color-bark-3)" />
      <rect
        x={Math.max(0, x(nominal - tolerance))}
        y="0"
        width={Math.min(width, x(nominal + tolerance)) - Math.max(0, x(nominal - tolerance))}
        height="15"
        fill="var(--color-moss-wash)"
        stroke="var(--color-moss)"
        strokeWidth="1.5"
      />
      <path d={`M${x(nominal)} -3V18`} stroke="var(--color-moss)" strokeWidth="2" />
      {ticks.map((t) => (
        <g key={t} transform={`translate(${x(t)} 0)`}>
          <path d="M0 15V19" stroke="var(--color-bark-3)" />
          <text
            y="31"
            fontSize="13"
            textAnchor={x(t) < 8 ? 'start' : x(t) > width - 8 ? 'end' : 'middle'}
            style={{ fontFamily: 'var(--font-mono)' }}
          >
            {t}
          </text>
        </g>
      ))}
      {value !== undefined && (
        <g transform={`translate(${x(value)} 0)`}>
          <path d="M0 15V-2" stroke={inside ? 'var(--color-moss)' : 'var(--color-ochre)'} strokeWidth="2.5" />
          <path d="M-6-9H6L0 0Z" fill={inside ? 'var(--color-moss)' : 'var(--color-ochre)'} />
        </g>
      )}
    </svg>
  );
}
