import type { Credibility } from '../../core/fit';

const WIDTH = 420;

/** The claim against what the volume can hold: usual, more than usual, not credible. */
export function Gauge({ c }: { c: Credibility }) {
  const top = Math.max(c.ceiling * 1.35, c.whPerL * 1.08);
  const x = (v: number) => (v / top) * WIDTH;
  const at = x(c.whPerL);
  const ink = { credible: 'text-moss', 'above typical': 'text-ochre', 'not credible': 'text-ochre' }[
    c.verdict
  ];
  return (
    <div className="grid gap-1">
      <p>
        <b className={`text-[20px] ${ink}`}>{c.verdict}</b>, {Math.round(c.whPerL)}&nbsp;Wh/L claimed. This
        volume likely holds{' '}
        <b>
          {c.likely[0].toFixed(2)} to {c.likely[1].toFixed(2)}&nbsp;Ah
        </b>
        .
      </p>
      <svg
        viewBox={`-2 -16 ${WIDTH + 4} 54`}
        width="100%"
        style={{ maxWidth: WIDTH }}
        role="img"
        aria-label={`${Math.round(c.whPerL)} Wh/L claimed; ${c.typical[0]} to ${c.typical[1]} typical, over ${c.ceiling} not credible`}
      >
        <rect width={WIDTH} height="16" fill="var(--color-inset)" stroke="var(--color-bark-3)" />
        <rect
          x={x(c.typical[0])}
          width={x(c.typical[1]) - x(c.typical[0])}
          height="16"
          fill="var(--color-moss-wash)"
          stroke="var(--color-moss)"
        />
        <rect
          x={x(c.ceiling)}
          width={WIDTH - x(c.ceiling)}
          height="16"
          fill="var(--color-ochre-wash)"
          stroke="var(--color-ochre)"
        />
        {[c.typical[0], c.typical[1], c.ceiling].map((v) => (
          <text key={v} x={x(v)} y="32" fontSize="13" textAnchor="middle">
            {v}
          </text>
        ))}
        <path
          d={`M${at - 7} -13H${at + 7}L${at} 0ZM${at} 0V16`}
          fill="var(--color-bark)"
          stroke="var(--color-bark)"
          strokeWidth="2"
        />
      </svg>
    </div>
  );
}
