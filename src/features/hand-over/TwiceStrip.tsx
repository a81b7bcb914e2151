import type { ReadingTwice } from '../../core/report';
import { formatReading } from '../../core/unit';

const WIDTH = 320;

/** A reading before and after the repair, on the span it can lie in, with the range it should lie in. */
export function TwiceStrip({ reading: r }: { reading: ReadingTwice }) {
  const values = [r.low, r.high, r.before, r.after].filter((v) => v !== undefined);
  const [lo, hi] = [Math.min(...values), Math.max(...values)];
  const x = (v: number) => ((v - lo) / (hi - lo || 1)) * WIDTH;
  const from = Math.max(lo, r.nominal - r.tolerance);
  const to = Math.min(hi, r.nominal + r.tolerance);
  const said = [
    r.before !== undefined && `before ${formatReading(r.before, r.unit)}`,
    r.after !== undefined && `after ${formatReading(r.after, r.unit)}`,
    `wanted ${r.nominal} ± ${formatReading(r.tolerance, r.unit)}`,
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <figure className="py-1">
      <figcaption>
        {r.what}: <b>{said}</b>
      </figcaption>
      <svg
        viewBox={`-6 -6 ${WIDTH + 12} 30`}
        width="100%"
        style={{ maxWidth: WIDTH + 12 }}
        role="img"
        aria-label={`${r.what}: ${said}`}
      >
        <rect width={WIDTH} height="16" fill="var(--color-inset)" stroke="var(--color-bark-3)" />
        <rect
          x={x(from)}
          width={Math.max(1, x(to) - x(from))}
          height="16"
          fill="var(--color-moss-wash)"
          stroke="var(--color-moss)"
        />
        {r.before !== undefined && (
          <path
            d={`M${x(r.before)} -4V20`}
            stroke="var(--color-ochre)"
            strokeWidth="2.5"
            strokeDasharray="4 3"
          />
        )}
        {r.after !== undefined && (
          <path d={`M${x(r.after)} -4V20`} stroke="var(--color-moss)" strokeWidth="3.5" />
        )}
      </svg>
    </figure>
  );
}
