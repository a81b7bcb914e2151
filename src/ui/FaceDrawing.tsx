import { type Box, Hole, INK, rect, SHAPES } from './face-shapes';
import { type DrawnTone, outline, TONES } from './PinMark';

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

export interface DrawnPin {
  number: number;
  x: number;
  y: number;
  tone: DrawnTone;
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
