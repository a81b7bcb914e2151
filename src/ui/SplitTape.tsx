interface Share {
  id: string;
  p: number;
  /** among the elements the check tests */
  tested: boolean;
}

const WIDTH = 282;
const NAMED = 26;

const THINNEST = 1.2;

/** Shares too thin to be seen are laid together, so that none of the suspicion drops out of the picture. */
function merged(shares: Share[], sum: number, tested: boolean): Share[] {
  const wide = shares.filter((s) => (s.p / sum) * WIDTH >= THINNEST);
  const rest = shares.reduce((a, s) => a + s.p, 0) - wide.reduce((a, s) => a + s.p, 0);
  return rest > 0 ? [...wide, { id: tested ? 'rest tested' : 'rest', p: rest, tested }] : wide;
}

/** The suspicion of all elements laid end to end; the slate part is what the check tests. */
export function SplitTape({ shares }: { shares: Share[] }) {
  const sum = shares.reduce((a, s) => a + s.p, 0) || 1;
  const order = [true, false].flatMap((side) =>
    merged(
      shares.filter((s) => s.tested === side),
      sum,
      side,
    ),
  );
  let at = 0;
  const tested = Math.round((100 * shares.filter((s) => s.tested).reduce((a, s) => a + s.p, 0)) / sum);
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${WIDTH} 24`}
      role="img"
      aria-label={`Tests ${tested} % of the suspicion`}
    >
      {order.map((s) => {
        const w = (s.p / sum) * WIDTH;
        const x = at;
        at += w;
        if (w < THINNEST) return null;
        return (
          <g key={s.id}>
            <rect
              x={x + 0.5}
              y=".5"
              width={Math.max(0.6, w - 1)}
              height="23"
              fill={s.tested ? 'var(--color-slate-fill)' : 'var(--color-inset)'}
              stroke={s.tested ? 'var(--color-slate)' : 'var(--color-rule-strong)'}
            />
            {w >= NAMED && !s.id.startsWith('rest') && (
              <text
                x={x + w / 2}
                y="17"
                textAnchor="middle"
                fontSize="13.5"
                fontWeight="650"
                style={{
                  fontFamily: 'var(--font-mono)',
                  fill: s.tested ? 'var(--color-on-slate)' : 'var(--color-bark-2)',
                }}
              >
                {s.id}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
