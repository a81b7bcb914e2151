import { useMemo, useState } from 'react';
import { holds, type Item } from '../../core/ledger';
import { Refusal } from '../../core/refusal';
import { tighten } from '../../core/tighten';
import { holesOf } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Choices, TextField, Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';

const WIDTH = 320;
const HEIGHT = 190;
const EDGE = 26;

type Point = { x: number; y: number };

/** Screws evenly along the edge of a lid, from the top left clockwise: where nobody has said otherwise. */
function alongEdge(n: number): Point[] {
  const [w, h] = [WIDTH - 2 * EDGE, HEIGHT - 2 * EDGE];
  const corners = [
    { x: EDGE, y: EDGE },
    { x: EDGE + w, y: EDGE },
    { x: EDGE + w, y: EDGE + h },
    { x: EDGE, y: EDGE + h },
  ];
  if (n === 4) return corners;
  const around = 2 * (w + h);
  return Array.from({ length: n }, (_, i) => {
    const d = (around * i) / n;
    if (d < w) return { x: EDGE + d, y: EDGE };
    if (d < w + h) return { x: EDGE + w, y: EDGE + d - w };
    if (d < 2 * w + h) return { x: EDGE + w - (d - w - h), y: EDGE + h };
    return { x: EDGE, y: EDGE + h - (d - 2 * w - h) };
  });
}

/** Reads `0 0, 120 0, …`; null when it is not pairs of numbers. */
function pairsIn(text: string): Point[] | null {
  const pairs = text
    .split(/[,;\n]/)
    .map((p) => p.trim().split(/\s+/).map(Number))
    .filter((p) => p.length > 0 && p[0] !== undefined && text.trim() !== '');
  const whole = pairs.length > 0 && pairs.every((p) => p.length === 2 && p.every(Number.isFinite));
  return whole ? pairs.map(([x = 0, y = 0]) => ({ x, y })) : null;
}

/** Millimetres laid into the drawing, in true proportion. */
function fitted(points: Point[]): Point[] {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const scale = Math.min(
    (WIDTH - 2 * EDGE) / Math.max(Math.max(...xs) - left, 1e-9),
    (HEIGHT - 2 * EDGE) / Math.max(Math.max(...ys) - top, 1e-9),
  );
  const at = (v: number, from: number) => Math.round((EDGE + (v - from) * scale) * 10) / 10;
  return points.map((p) => ({ x: at(p.x, left), y: at(p.y, top) }));
}

/** The lid with its screws, the order in which they are tightened, and which one is next. */
export function Lid({ item, count, home }: { item: Item; count: number; home: number }) {
  const { job, record } = useJob();
  const kept = job.holes[item.id];
  const [tapped, setTapped] = useState<Point[] | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [typed, setTyped] = useState('');
  const [lid, setLid] = useState<'metal' | 'plastic'>(kept?.lid ?? 'metal');
  const drawn = useMemo(() => {
    const cover = job.map.access.find((a) => holds(item.from, a));
    const holes = cover ? holesOf(job.map.faces, cover.id) : [];
    return holes.length === count ? fitted(holes) : null;
  }, [job.map, item.from, count]);
  const points = tapped ?? (kept?.points.length === count ? kept.points : (drawn ?? alongEdge(count)));
  const named = useMemo(() => points.map((p, i) => ({ id: String(i + 1), ...p })), [points]);
  const torque = item.back?.torqueNm;
  const passes = useMemo(() => {
    if (named.length !== count) return [];
    try {
      return tighten({ points: named, lid, ...(torque === undefined ? {} : { torque }) }).passes;
    } catch (error) {
      if (error instanceof Refusal) return [];
      throw error;
    }
  }, [named, lid, count, torque]);
  const order = passes[0]?.sequence ?? [];
  const next = order[home];

  const keep = (list: Point[], how = lid) => {
    const refused = record('holes.placed', { item: item.id, points: list, lid: how });
    setWrong(refused?.reason ?? null);
    setTapped(null);
  };
  const tap = (e: React.MouseEvent<SVGSVGElement>) => {
    if (!tapped) return;
    const box = e.currentTarget.getBoundingClientRect();
    const p = {
      x: Math.round(((e.clientX - box.left) / box.width) * WIDTH),
      y: Math.round(((e.clientY - box.top) / box.height) * HEIGHT),
    };
    const list = [...tapped, p];
    if (list.length === count) keep(list);
    else setTapped(list);
  };

  return (
    <section aria-label="Order of tightening" className="border-t border-rule-strong pt-3 grid gap-2">
      <div className="lead">
        <h3 className="sec">{next ? `Next: screw ${next}` : tapped ? 'Tap the holes' : 'All tight'}</h3>
        <span className="note">
          {tapped
            ? `${tapped.length} of ${count}, in the order you number them`
            : kept
              ? 'as the holes were placed; not to scale'
              : drawn
                ? 'as drawn on the face'
                : 'holes along the edge, until you place them'}
        </span>
      </div>
      <div className="flex flex-wrap gap-5 items-start">
        {/* biome-ignore lint/a11y/useKeyWithClickEvents: by keyboard the holes are typed, in the field beside it */}
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          width={WIDTH}
          style={{ maxWidth: '100%', cursor: tapped ? 'crosshair' : 'default' }}
          role="img"
          aria-label={`Lid with ${count} screws; order ${order.join(', ')}`}
          onClick={tap}
        >
          <rect
            x="4"
            y="4"
            width={WIDTH - 8}
            height={HEIGHT - 8}
            fill="var(--color-inset)"
            stroke="var(--color-bark)"
            strokeWidth="1.8"
          />
          {named.map((p) => {
            const at = order.indexOf(p.id);
            const tight = at >= 0 && at < home;
            const now = p.id === next;
            return (
              <g key={p.id} transform={`translate(${p.x} ${p.y})`}>
                <circle
                  r="14"
                  fill={
                    tight ? 'var(--color-moss-wash)' : now ? 'var(--color-ochre-fill)' : 'var(--color-paper)'
                  }
                  stroke={tight ? 'var(--color-moss)' : 'var(--color-bark)'}
                  strokeWidth={now ? 3 : 1.5}
                />
                <text
                  y="5"
                  fontSize="15"
                  fontWeight="700"
                  textAnchor="middle"
                  style={now ? { fill: '#271C14' } : undefined}
                >
                  {p.id}
                </text>
              </g>
            );
          })}
        </svg>
        <div className="grid gap-2 text-[15px] flex-1 min-w-[220px]">
          <p>
            <b>{order.join(' – ')}</b>
          </p>
          {item.back?.torqueNm !== undefined && (
            <p>
              <b>{item.back.torqueNm}&nbsp;N·m</b>, stop at the first click
            </p>
          )}
          <p className="note">
            {passes
              .map((p) =>
                p.torque === undefined ? p.name : `${p.name} to ${Number(p.torque.toFixed(2))}\u00a0N·m`,
              )
              .join(', then ')}
            .{' '}
            {lid === 'metal'
              ? 'Crosswise, so that it comes down evenly.'
              : 'Hand tight, stop at first resistance.'}
          </p>
          <Choices
            label="The lid is"
            name={`lid-${item.id}`}
            value={lid}
            onPick={(v) => {
              setLid(v as typeof lid);
              if (kept) keep(kept.points, v as typeof lid);
            }}
            options={[
              { value: 'metal', words: 'metal' },
              { value: 'plastic', words: 'plastic' },
            ]}
          />
          <span className="flex flex-wrap gap-2">
            {tapped ? (
              <form
                className="flex flex-wrap gap-2 items-end"
                onSubmit={(e) => {
                  e.preventDefault();
                  const list = pairsIn(typed);
                  if (list === null) setWrong('type x and y of each hole in mm: 0 0, 120 0, 120 80, 0 80');
                  else keep(fitted(list));
                }}
              >
                <TextField
                  label="or typed, x and y in mm"
                  value={typed}
                  onChange={(e) => {
                    setTyped(e.target.value);
                    setWrong(null);
                  }}
                  placeholder="0 0, 120 0, 120 80, 0 80"
                  autoComplete="off"
                />
                <Second small type="submit">
                  Place them
                </Second>
                <Second small onClick={() => setTapped(null)}>
                  Leave them
                </Second>
              </form>
            ) : (
              <Second small onClick={() => setTapped([])}>
                Place the holes
              </Second>
            )}
          </span>
          {wrong && <Wrong>{wrong}</Wrong>}
        </div>
      </div>
    </section>
  );
}
