interface ScrewProps {
  /** such as M3, ST3.5, 6-32 */
  thread?: string | undefined;
  lengthMm?: number | undefined;
  drive?: string | undefined;
  count: number;
  /** heads shown as already back */
  back?: number;
  diameterMm?: number | null | undefined;
}

const DRIVES: [RegExp, (r: number) => React.ReactNode][] = [
  [/^SL/, (r) => <path d={`M${-r} 0H${r}`} />],
  [
    /^PZ/,
    (r) => (
      <path
        d={`M${-r} 0H${r}M0 ${-r}V${r}M${-r * 0.5} ${-r * 0.5}l${r} ${r}M${r * 0.5} ${-r * 0.5}l${-r} ${r}`}
        strokeWidth=".8"
      />
    ),
  ],
  [/^HEX/, (r) => <path d={hexagon(r)} />],
  [/^T\d/, (r) => <path d={`${hexagon(r)}M0 ${-r}V${r}`} />],
  [/^SQ/, (r) => <path d={`M${-r * 0.7} ${-r * 0.7}h${r * 1.4}v${r * 1.4}h${-r * 1.4}Z`} />],
  [/^Y/, (r) => <path d={`M0 0V${-r}M0 0L${r * 0.87} ${r * 0.5}M0 0L${-r * 0.87} ${r * 0.5}`} />],
];

const hexagon = (r: number) =>
  `M${Array.from({ length: 6 }, (_, i) => `${(r * Math.cos((i * Math.PI) / 3)).toFixed(2)} ${(r * Math.sin((i * Math.PI) / 3)).toFixed(2)}`).join('L')}Z`;

const SHOWN = 10;

/** A screw from the side, to scale, over one head per piece; heads that are back turn to dotted rings. */
export function Screw({ thread, lengthMm, drive, count, back = 0, diameterMm }: ScrewProps) {
  const d = diameterMm ?? 3;
  const scale = d >= 4 ? 2.5 : d <= 2 ? 4 : 3.1;
  const shank = Math.min((lengthMm ?? 8) * scale, 92);
  const w = d * scale;
  const head = w * 1.85;
  const depth = w * 0.68;
  const mid = head / 2;
  const driveOf = DRIVES.find(([p]) => p.test(drive ?? ''))?.[1];
  const heads = Math.min(count, SHOWN);
  return (
    <>
      <svg
        width={depth + shank + 3}
        height={Math.min(head + 2, 19)}
        viewBox={`-1 -1 ${depth + shank + 3} ${head + 2}`}
        aria-hidden="true"
      >
        <g stroke="var(--color-bark)" strokeWidth="1.1" strokeLinejoin="round">
          <path
            d={`M${depth} ${mid - w / 2}H${depth + shank - 2}L${depth + shank} ${mid - w / 4}V${mid + w / 4}L${depth + shank - 2} ${mid + w / 2}H${depth}Z`}
            fill="var(--color-steel)"
          />
          {thread && (
            <path
              d={Array.from(
                { length: Math.floor(shank / 4) },
                (_, i) => `M${depth + 3 + i * 4} ${mid - w / 2}l-1.600 ${w}`,
              ).join('')}
              fill="none"
              strokeWidth=".8"
            />
          )}
          <path
            d={`M${depth} 0V${head}H${depth * 0.45}Q0 ${head} 0 ${head * 0.78}V${head * 0.22}Q0 0 ${depth * 0.45} 0Z`}
            fill="var(--color-steel)"
          />
        </g>
      </svg>
      <svg width={heads * 12.4 + (count > SHOWN ? 18 : 0)} height="12.400" aria-hidden="true">
        {Array.from({ length: heads }, (_, i) => i).map((i) => {
          const home = i >= heads - Math.round((back / Math.max(count, 1)) * heads);
          return (
            <g key={i} transform={`translate(${6 + i * 12.4} 6)`}>
              <circle
                r="5.200"
                fill={home ? 'none' : 'var(--color-steel)'}
                stroke={home ? 'var(--color-bark-2)' : 'var(--color-bark)'}
                strokeWidth="1.1"
                strokeDasharray={home ? '2 2' : undefined}
              />
              {!home && (
                <g fill="none" stroke="var(--color-bark)" strokeWidth="1.4">
                  {driveOf ? driveOf(3) : <path d="M-3 0H3M0-3V3" />}
                </g>
              )}
            </g>
          );
        })}
        {count > SHOWN && (
          <text x={heads * 12.4 + 1} y="10" fontSize="11">
            +{count - SHOWN}
          </text>
        )}
      </svg>
    </>
  );
}
