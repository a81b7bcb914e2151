import { INK } from './face-shapes';

export type DrawnTone = 'plain' | 'wanted' | 'off' | 'live' | 'cleared';

export const TONES: Record<DrawnTone, { fill: string; ink: string; edge: string; dash?: string }> = {
  plain: { fill: 'var(--color-paper)', ink: INK, edge: INK },
  wanted: { fill: 'var(--color-ochre-fill)', ink: '#271C14', edge: INK },
  off: { fill: 'var(--color-paper)', ink: 'var(--color-bark-2)', edge: 'var(--color-bark-2)', dash: '3 2' },
  live: { fill: 'var(--color-brick)', ink: 'var(--color-paper)', edge: 'var(--color-paper)' },
  cleared: { fill: 'var(--color-moss)', ink: 'var(--color-paper)', edge: 'var(--color-moss)' },
};

/** Outline of a pin: what can hurt is a triangle, what was cleared a square, the rest round. */
export const outline = (tone: DrawnTone, edge: string, dash?: string) => {
  const common = { fill: TONES[tone].fill, stroke: edge, strokeWidth: 1.6, strokeDasharray: dash };
  if (tone === 'live') return <path d="M0-15 15 11H-15Z" strokeLinejoin="round" {...common} />;
  if (tone === 'cleared') return <rect x="-11" y="-11" width="22" height="22" {...common} />;
  return <circle r="11.5" {...common} />;
};

/** A numbered pin as it stands on a drawing, a picture or in a list. */
export function PinMark({ number, tone, size = 26 }: { number: number; tone: DrawnTone; size?: number }) {
  const t = TONES[tone];
  return (
    <svg width={size} height={size} viewBox="-16 -16 32 32" aria-hidden="true">
      {outline(tone, t.edge === 'var(--color-paper)' ? 'none' : t.edge, t.dash)}
      <text
        y={tone === 'live' ? 8 : 5}
        fontSize="14"
        fontWeight="700"
        textAnchor="middle"
        style={{ fill: t.ink }}
      >
        {number}
      </text>
    </svg>
  );
}
