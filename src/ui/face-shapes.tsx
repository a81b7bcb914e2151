import type { ReactNode } from 'react';

/** Where a shape lies, in pixels of the drawing. */
export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

export const INK = 'var(--color-bark)';
const slots = ({ x, y, w, h }: Box) => {
  const n = Math.max(2, Math.floor(h / 7));
  return Array.from({ length: n }, (_, i) => {
    const at = y + ((i + 0.5) * h) / n;
    return <path key={at} d={`M${x + 5} ${at}H${x + w - 5}`} strokeWidth="2.2" />;
  });
};

/** How each kind of thing is drawn; all in pixels of the drawing. */
export const SHAPES: Record<string, (b: Box, off: boolean) => ReactNode> = {
  panel: (b) => <rect {...rect(b)} fill="var(--color-inset)" strokeWidth="1.8" />,
  vent: (b) => (
    <>
      <rect {...rect(b)} fill="var(--color-shade)" strokeWidth="1" />
      <g stroke="var(--color-bark-3)">{slots(b)}</g>
    </>
  ),
  port: (b) => (
    <>
      <rect {...rect(b)} fill="var(--color-steel)" />
      <rect
        x={b.x + 4}
        y={b.y + 4}
        width={Math.max(1, b.w - 8)}
        height={Math.max(1, b.h - 8)}
        fill="var(--color-shade)"
        strokeWidth="1"
      />
    </>
  ),
  label: (b) => <rect {...rect(b)} fill="var(--color-kraft)" strokeWidth="1" />,
  window: (b) => (
    <>
      <rect {...rect(b)} fill="var(--color-shade)" />
      <path
        d={`M${b.x + 6} ${b.y + b.h - 6}L${b.x + b.w * 0.4} ${b.y + 6}`}
        strokeWidth="1"
        stroke="var(--color-bark-3)"
      />
    </>
  ),
  board: (b) => (
    <>
      <rect {...rect(b)} fill="var(--color-pcb)" />
      <g fill="var(--color-paper)" strokeWidth="1">
        {[b.x + 6, b.x + b.w - 6].flatMap((cx) =>
          [b.y + 6, b.y + b.h - 6].map((cy) => <circle key={`${cx} ${cy}`} cx={cx} cy={cy} r="2.6" />),
        )}
      </g>
    </>
  ),
  part: (b) => <rect {...rect(b)} fill="var(--color-steel)" />,
};

export const rect = ({ x, y, w, h }: Box) => ({ x, y, width: w, height: h });

/** A screw, or the hole it left. */
export const Hole = ({ x, y, off }: { x: number; y: number; off: boolean }) => (
  <g transform={`translate(${x} ${y})`}>
    <circle
      r="5.6"
      fill={off ? 'var(--color-paper)' : 'var(--color-steel)'}
      stroke={off ? 'var(--color-bark-2)' : INK}
      strokeWidth="1.2"
      strokeDasharray={off ? '2.4 2' : undefined}
    />
    {!off && <path d="M-3 0H3M0-3V3" stroke={INK} strokeWidth="1.4" />}
  </g>
);
