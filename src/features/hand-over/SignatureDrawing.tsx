import type { Receipt } from '../../core/job';

const HEIGHT = 90;

/** A signature as it was drawn. */
export function SignatureDrawing({ receipt }: { receipt: Receipt }) {
  // Signed by name alone.
  if (receipt.lines.length === 0) return null;
  const width = HEIGHT * receipt.wide;
  const path = receipt.lines.map((l) => {
    const points: string[] = [];
    for (let k = 0; k + 1 < l.length; k += 2)
      points.push(`${((l[k] ?? 0) * width).toFixed(1)} ${((l[k + 1] ?? 0) * HEIGHT).toFixed(1)}`);
    // A dot has no length: round ends make it one.
    return points.length === 1 ? `M${points[0]}L${points[0]}` : `M${points.join('L')}`;
  });
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      style={{ maxWidth: Math.min(300, width) }}
      width="100%"
      role="img"
      aria-label={`Signature of ${receipt.name}`}
    >
      <path
        d={path.join('')}
        fill="none"
        stroke="var(--color-bark)"
        strokeWidth="1.8"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
