import type { BatterySheet } from '../../core/fit';

const WIDTH = 300;
const HEIGHT = 150;

/** Both at one scale: the larger fills the drawing. */
export function scaleOf(...sheets: BatterySheet[]): number | null {
  const long = Math.max(0, ...sheets.map((s) => s.lengthMm ?? 0));
  const wide = Math.max(0, ...sheets.map((s) => s.widthMm ?? 0));
  return long && wide ? Math.min(210 / long, 118 / wide) : null;
}

/** A battery from above, in true proportion, with its lead and plug. */
export function BatteryDrawing({
  sheet,
  scale,
  wrongAt,
  label,
}: {
  sheet: BatterySheet;
  scale: number | null;
  wrongAt: number;
  label: string;
}) {
  const { lengthMm, widthMm, thicknessMm, contacts } = sheet;
  if (!scale || !lengthMm || !widthMm)
    return <p className="note pad bg-inset min-h-[120px]">Type length and width to see it drawn to scale.</p>;
  const w = lengthMm * scale;
  const h = widthMm * scale;
  const y = (HEIGHT - h) / 2;
  const plugY = HEIGHT / 2 - ((contacts?.length ?? 0) * 18) / 2;
  const ways = contacts?.length ?? 0;
  const wire = (i: number) => {
    const end = plugY + i * 18 + 9;
    return `M${w + 2} ${HEIGHT / 2 + (i - (ways - 1) / 2) * 5}C${w + 30} ${HEIGHT / 2} ${WIDTH - 60} ${end} ${WIDTH - 34} ${end}`;
  };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: WIDTH * 1.3 }}
      role="img"
      aria-label={`${label}: ${lengthMm} × ${widthMm} mm${contacts ? `, contacts ${contacts.join(' ')}` : ''}`}
    >
      <rect
        x="2"
        y={y}
        width={w}
        height={h}
        fill="var(--color-slate-wash)"
        stroke="var(--color-bark)"
        strokeWidth="1.8"
      />
      <rect
        x="2"
        y={y}
        width={Math.min(14, w / 5)}
        height={h}
        fill="var(--color-kraft)"
        stroke="var(--color-bark)"
      />
      <text x={w / 2 + 6} y={HEIGHT / 2 + 5} textAnchor="middle" fontSize="14">
        {lengthMm} × {widthMm}
        {thicknessMm ? ` × ${thicknessMm}` : ''} mm
      </text>
      {contacts?.map((c, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: contacts are known by their place
        <g key={i}>
          {/* A black wire stays black by night, with a light edge. */}
          <path d={wire(i)} fill="none" stroke="var(--color-rule-strong)" strokeWidth="4" />
          <path
            d={wire(i)}
            fill="none"
            stroke={c === '+' ? '#b3271e' : c === '-' ? '#1d1a18' : '#e8c72c'}
            strokeWidth="2.5"
          />
          <rect
            x={WIDTH - 34}
            y={plugY + i * 18}
            width="26"
            height="18"
            fill={i === wrongAt ? 'var(--color-brick-wash)' : 'var(--color-paper)'}
            stroke={i === wrongAt ? 'var(--color-brick)' : 'var(--color-bark)'}
            strokeWidth={i === wrongAt ? 2.5 : 1}
          />
          <text x={WIDTH - 21} y={plugY + i * 18 + 14} textAnchor="middle" fontSize="14" fontWeight="700">
            {c === '-' ? '−' : c}
          </text>
        </g>
      ))}
    </svg>
  );
}
