import type { ReactNode } from 'react';

export interface DrawnShape {
  kind: string;
  x: number;
  y: number;
  w?: number | undefined;
  h?: number | undefined;
  text?: string | undefined;
  /** the cover it belongs to */
  of?: string | undefined;
  thread?: string | undefined;
  /** it is off: drawn as its outline only */
  off: boolean;
}

export type DrawnTone = 'plain' | 'wanted' | 'off' | 'live' | 'cleared';

export interface DrawnPin {
  number: number;
  x: number;
  y: number;
  tone: DrawnTone;
}

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

const INK = 'var(--color-bark)';
const slots = ({ x, y, w, h }: Box) => {
  const n = Math.max(2, Math.floor(h / 7));
  return Array.from({ length: n }, (_, i) => {
    const at = y + ((i + 0.5) * h) / n;
    return <path key={at} d={`M${x + 5} ${at}H${x + w - 5}`} strokeWidth="2.2" />;
  });
};

/** How each kind of thing is drawn; all in pixels of the drawing. */
const SHAPES: Record<string, (b: Box, off: boolean) => ReactNode> = {
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

const rect = ({ x, y, w, h }: Box) => ({ x, y, width: w, height: h });

const Hole = ({ x, y, off }: { x: number; y: number; off: boolean }) => (
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

const TONES: Record<DrawnTone, { fill: string; ink: string; edge: string; dash?: string }> = {
  plain: { fill: 'var(--color-paper)', ink: INK, edge: INK },
  wanted: { fill: 'var(--color-ochre-fill)', ink: '#271C14', edge: INK },
  off: { fill: 'var(--color-paper)', ink: 'var(--color-bark-2)', edge: 'var(--color-bark-2)', dash: '3 2' },
  live: { fill: 'var(--color-brick)', ink: 'var(--color-paper)', edge: 'var(--color-paper)' },
  cleared: { fill: 'var(--color-moss)', ink: 'var(--color-paper)', edge: 'var(--color-moss)' },
};

/** Outline of a pin: what can hurt is a triangle, what was cleared a square, the rest round. */
const outline = (tone: DrawnTone, edge: string, dash?: string) => {
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

/** Roughly how wide a word is at 13 px. */
const wide = (text: string) => text.length * 6.6;

interface FaceDrawingProps {
  /** size of the face, mm */
  width: number;
  height: number;
  /** address of a photograph in place of a drawing */
  photo?: string | undefined;
  shapes: DrawnShape[];
  pins: DrawnPin[];
  label: string;
  /** largest size on screen, px */
  most?: { w: number; h: number };
  chosen?: number | undefined;
  /** a tap, in millimetres */
  onTap?: ((x: number, y: number) => void) | undefined;
}

/** One side of a unit in true proportion: what is on it, what is off it, and the numbered pins. */
export function FaceDrawing({
  width,
  height,
  photo,
  shapes,
  pins,
  label,
  most = { w: 400, h: 300 },
  chosen,
  onTap,
}: FaceDrawingProps) {
  const scale = Math.min((most.w - 4) / width, (most.h - 4) / height);
  const w = Math.round(width * scale * 10) / 10;
  const h = Math.round(height * scale * 10) / 10;
  const px = (v: number) => Math.round(v * scale * 10) / 10;
  const boxOf = (s: DrawnShape): Box => ({ x: px(s.x), y: px(s.y), w: px(s.w ?? 0), h: px(s.h ?? 0) });
  const tap = (e: React.MouseEvent<SVGSVGElement>) => {
    if (!onTap) return;
    const box = e.currentTarget.getBoundingClientRect();
    const unit = (w + 4) / box.width;
    const at = (v: number, most: number) =>
      Math.min(most, Math.max(0, Math.round(((v * unit - 2) / scale) * 10) / 10));
    onTap(at(e.clientX - box.left, width), at(e.clientY - box.top, height));
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: by keyboard a place is typed, in the fields beside it
    <svg
      viewBox={`-2 -2 ${w + 4} ${h + 4}`}
      width={w + 4}
      style={{ maxWidth: '100%', cursor: onTap ? 'crosshair' : 'default' }}
      role="img"
      aria-label={label}
      onClick={tap}
    >
      {photo ? (
        <image href={photo} width={w} height={h} preserveAspectRatio="none" />
      ) : (
        <rect width={w} height={h} fill="var(--color-shade)" stroke={INK} strokeWidth="2" />
      )}
      <g stroke={INK} strokeWidth="1.3">
        {shapes.map((s, i) => {
          const b = boxOf(s);
          const key = `${s.kind} ${i}`;
          if (s.kind === 'hole') return <Hole key={key} x={b.x} y={b.y} off={s.off} />;
          if (s.off)
            return (
              <rect
                key={key}
                {...rect(b)}
                fill="none"
                stroke="var(--color-bark-2)"
                strokeWidth="1.4"
                strokeDasharray="6 4"
              />
            );
          return <g key={key}>{SHAPES[s.kind]?.(b, s.off)}</g>;
        })}
      </g>
      <g fontSize="13" fill="var(--color-bark)">
        {shapes.map((s, i) => {
          const b = boxOf(s);
          const words = s.kind === 'hole' ? undefined : (s.text ?? s.of);
          const room = words && wide(words) < b.w - 24 && b.h > 18;
          // Screws sit in the corners: the words stand clear of them.
          const corner = s.kind === 'board' || s.kind === 'panel' || s.kind === 'part';
          return room ? (
            <text
              // biome-ignore lint/suspicious/noArrayIndexKey: shapes are known by their place
              key={i}
              x={b.x + (s.kind === 'panel' ? 26 : corner ? 14 : 6)}
              y={corner ? b.y + b.h - 10 : b.y + 15}
              style={s.off ? { fill: 'var(--color-bark-2)' } : undefined}
            >
              {words}
              {s.off && ', off'}
            </text>
          ) : null;
        })}
      </g>
      {pins.map((p) => {
        const t = TONES[p.tone];
        return (
          <g key={p.number} transform={`translate(${px(p.x)} ${px(p.y)})`}>
            {chosen === p.number && (
              <circle r="19" fill="none" stroke="var(--color-bark)" strokeWidth="2.5" />
            )}
            {outline(p.tone, t.edge, t.dash)}
            <text
              y={p.tone === 'live' ? 8 : 5}
              fontSize="14"
              fontWeight="700"
              textAnchor="middle"
              style={{ fill: t.ink }}
            >
              {p.number}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
