import { type ReactNode, useId, useMemo, useState } from 'react';
import { type TraceRecord, verdictOf } from '../../core/job';
import { formatReading, type MapCheck, testedBy, type UnitMap } from '../../core/unit';
import { Second } from '../../ui/Action';
import { ElementDrawing, groundOf } from '../../ui/ElementDrawing';
import { ScrollRow } from '../../ui/ScrollRow';
import { TickBox } from '../../ui/Signs';
import { ChainList } from './ChainList';
import { inLines, overMarks } from './chain-words';
import { type Box, layoutChain } from './layout';

export interface ChainProps {
  map: UnitMap;
  checks: MapCheck[];
  records: TraceRecord[];
  suspicion: Map<string, number>;
  /** suspicion once the typed answer is recorded */
  forecast: Map<string, number> | null;
  chosen: MapCheck | undefined;
  /** elements between the source and what fails */
  path: Set<string>;
}

/** Elements up to which the chain is drawn at once; more are a list first. */
const MOST_DRAWN = 40;
/** Above the elements: a row of words, what was read, the mark. */
const TOP = 64;
/** A second row of words, above and below. */
const SECOND = 16;
const FOOT = 40;
/** Width of a letter of the words above, and of those below. */
const MARK_LETTER = 9;
const NAME_LETTER = 6.6;

const percent = (p: number) => (p >= 0.995 ? '99+' : p < 0.005 ? '<1' : String(Math.round(p * 100)));

function Element({
  box,
  p,
  then,
  top,
  tested,
  hatch,
}: {
  box: Box;
  p: number;
  then: number | undefined;
  top: boolean;
  tested: boolean;
  hatch: string;
}) {
  const { w, h } = box;
  const level = Math.max(p * h, 1);
  const size = h < 100 ? (top ? 28 : 21) : top ? 34 : 24;
  const y = Math.min(h - 8, Math.max(size + (h < 100 ? 14 : 2), h - level - 7));
  const ground = groundOf(box.kind);
  const moved = then !== undefined && Math.abs(then - p) >= 0.01;
  const thenY = h - (then ?? 0) * h;
  return (
    <g transform={`translate(${box.x} ${box.y})`}>
      <ElementDrawing kind={box.kind} w={w} h={h} />
      <g className="level" style={{ transform: `translateY(${h - level}px)` }}>
        <rect width={w} height={level} fill="var(--color-ochre-fill)" opacity=".34" />
        <rect width={w} height={level} fill={`url(#${hatch})`} />
        <path d={`M0 0H${w}`} stroke="var(--color-ochre)" strokeWidth="2.5" />
      </g>
      <rect width={w} height={h} fill="none" stroke="var(--color-bark)" strokeWidth={top ? 2.5 : 1.5} />
      {moved && (
        <>
          <path
            d={`M-5 ${thenY}H${w + 5}`}
            stroke="var(--color-ochre)"
            strokeWidth="2.2"
            strokeDasharray="5 3"
          />
          {Math.abs(thenY - y) > 14 && (
            <text
              x={w - 3}
              y={thenY - 4 < 12 ? thenY + 15 : thenY - 4}
              textAnchor="end"
              fontSize="14"
              style={{
                fontFamily: 'var(--font-big)',
                fontWeight: 650,
                fill: 'var(--color-ochre)',
                paintOrder: 'stroke',
                stroke: ground,
                strokeWidth: 5,
              }}
            >
              {percent(then ?? 0)} %
            </text>
          )}
        </>
      )}
      <text
        x={w / 2}
        y={y}
        textAnchor="middle"
        fontSize={size}
        style={{
          fontFamily: 'var(--font-big)',
          fontWeight: 650,
          paintOrder: 'stroke',
          stroke: ground,
          strokeWidth: 6,
          strokeLinejoin: 'round',
        }}
      >
        {percent(p)}
        <tspan fontSize={size * 0.6} dx="2">
          %
        </tspan>
      </text>
      {tested && <path d={`M0 ${h + 4}H${w}`} stroke="var(--color-slate)" strokeWidth="4" />}
    </g>
  );
}

function Links({ links, path }: { links: { from: Box; to: Box }[]; path: Set<string> }) {
  return (
    <>
      {links.map(({ from, to }) => {
        const x0 = from.x + from.w;
        const x1 = to.x;
        const lo = Math.max(from.y, to.y);
        const hi = Math.min(from.y + from.h, to.y + to.h);
        const mid = hi > lo ? (lo + hi) / 2 : to.y + to.h / 2;
        return (
          <path
            key={`${from.id} ${to.id}`}
            d={[-6, 0, 6].map((d) => `M${x0} ${mid + d}H${x1}`).join('')}
            stroke="var(--color-bark)"
            strokeWidth={path.has(from.id) && path.has(to.id) ? 2.4 : 0.8}
          />
        );
      })}
    </>
  );
}

/** The unit from source to output, with the suspicion of every element as a level and a number. */
export function Chain({ beside, ...props }: ChainProps & { beside?: ReactNode }) {
  const [asList, setAsList] = useState(props.map.elements.length > MOST_DRAWN);
  const [large, setLarge] = useState(false);
  return (
    <div className="grid gap-1">
      {asList ? <ChainList {...props} /> : <Drawn {...props} large={large} />}
      <div className="flex flex-wrap gap-2 items-center">
        <div className="flex-1 min-w-[200px]">{beside}</div>
        {!asList && (
          <Second small aria-pressed={large} onClick={() => setLarge(!large)}>
            {large ? 'Fit to the sheet' : 'Larger'}
          </Second>
        )}
        <Second small aria-pressed={asList} onClick={() => setAsList(!asList)}>
          {asList ? 'As a drawing' : 'As a list'}
        </Second>
      </div>
    </div>
  );
}

function Drawn({
  map,
  checks,
  records,
  suspicion,
  forecast,
  chosen,
  path,
  large,
}: ChainProps & { large: boolean }) {
  const hatch = useId();
  const layout = useMemo(() => layoutChain(map), [map]);
  const most = [...suspicion].reduce<[string, number]>((a, b) => (b[1] > a[1] ? b : a), ['', 0])[0];
  const tested = new Set(chosen ? testedBy(chosen) : []);
  const lastOf = (check: string) => records.findLast((r) => r.check === check);

  const taps = useMemo(() => {
    const perGap = new Map<number, number>();
    return checks.flatMap((c) => {
      const box = layout.boxes.find((b) => b.id === c.tap?.after);
      if (!c.tap || !box) return [];
      const gap = box.x + box.w + 8;
      const n = perGap.get(gap) ?? 0;
      perGap.set(gap, n + 1);
      return [{ check: c, tap: c.tap, box, gap, n }];
    });
  }, [checks, layout]);
  const width = Math.max(layout.width + 24, 300);
  const marks = useMemo(() => {
    const shared = (gap: number) => taps.filter((t) => t.gap === gap).length;
    const at = taps
      .map((t) => ({
        ...t,
        x: Math.min(Math.max(t.gap + (t.n - (shared(t.gap) - 1) / 2) * 50, 20), width - 34),
      }))
      .sort((a, b) => a.x - b.x);
    const words = overMarks(
      at.map((t) => ({ x: t.x, text: t.tap.id })),
      MARK_LETTER,
      -4,
      width - 8,
    );
    return at.flatMap((t, i) => {
      const over = words[i];
      return over ? [{ ...t, over }] : [];
    });
  }, [taps, width]);
  const lifted = marks.some((m) => m.over.row > 0) ? SECOND : 0;
  const names = new Map(
    layout.boxes.map((b) => [
      b.id,
      inLines(b.name, Math.floor((b.w + 12) / NAME_LETTER), 2).map((words, i) => ({
        words,
        y: 37 + i * SECOND,
      })),
    ]),
  );
  const foot = FOOT + ([...names.values()].some((l) => l.length > 1) ? SECOND : 0);
  const top = TOP + lifted;
  const spoken = [...suspicion]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 6)
    .map(([id, p]) => `${id} ${percent(p)} %`)
    .join(', ');

  return (
    <div className="grid gap-2">
      <ScrollRow className="overflow-x-auto" label="Chain of the unit">
        <svg
          width="100%"
          viewBox={`-6 0 ${width} ${top + layout.height + foot}`}
          role="img"
          aria-label={`Suspicion per element: ${spoken}`}
          style={
            large
              ? { minWidth: width * 1.5 }
              : { minWidth: Math.min(width, 640), maxHeight: 300 + lifted + foot - FOOT }
          }
        >
          <defs>
            <pattern
              id={hatch}
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <path d="M0 0V7" stroke="var(--color-ochre)" strokeWidth="1.2" opacity=".6" />
            </pattern>
          </defs>
          <g transform={`translate(0 ${top})`}>
            <Links links={layout.links} path={path} />
            {layout.boxes.map((b) => (
              <Element
                key={b.id}
                box={b}
                p={suspicion.get(b.id) ?? 0}
                then={forecast?.get(b.id)}
                top={b.id === most}
                tested={tested.has(b.id)}
                hatch={hatch}
              />
            ))}
            {layout.boxes.map((b) => {
              const low = b.y + b.h >= layout.height - 1;
              return low ? (
                <g key={b.id} transform={`translate(${b.x + b.w / 2} ${layout.height})`} textAnchor="middle">
                  <text y="22" fontSize="16" fontWeight="700" style={{ fontFamily: 'var(--font-mono)' }}>
                    {b.id}
                  </text>
                  {names.get(b.id)?.map(({ words, y }) => (
                    <text key={y} y={y} fontSize="13" style={{ fill: 'var(--color-bark-2)' }}>
                      {words}
                    </text>
                  ))}
                </g>
              ) : (
                <text
                  key={b.id}
                  x={b.x + 17}
                  y={b.y + 15}
                  fontSize="15"
                  fontWeight="700"
                  style={{
                    fontFamily: 'var(--font-mono)',
                    paintOrder: 'stroke',
                    stroke: groundOf(b.kind),
                    strokeWidth: 6,
                  }}
                >
                  {b.id}
                </text>
              );
            })}
          </g>
          {marks.map(({ check, tap, box, gap, x, over }) => {
            const record = lastOf(check.id);
            const verdict = record && verdictOf(check, record);
            const now = check.id === chosen?.id;
            const word = record
              ? record.reading === undefined
                ? verdict
                : formatReading(record.reading, record.unit ?? '')
              : now
                ? tap.how
                : '';
            const ink =
              now && !record
                ? 'var(--color-ochre)'
                : verdict === 'ok'
                  ? 'var(--color-moss)'
                  : verdict
                    ? 'var(--color-ochre)'
                    : 'var(--color-bark-2)';
            return (
              <g key={tap.id}>
                <title>{tap.id}</title>
                <path
                  d={`M${x} ${top - 14}V${top - 6}L${gap} ${top + 2}V${top + box.y + box.h / 2}`}
                  fill="none"
                  stroke={now ? 'var(--color-slate)' : 'var(--color-bark-3)'}
                  strokeWidth={now ? 2 : 1.1}
                  strokeDasharray={now ? '5 3' : '2 3'}
                />
                <text
                  x={over.x}
                  y={14 + lifted - over.row * SECOND}
                  textAnchor="middle"
                  fontSize="15"
                  fontWeight="700"
                  style={{ fontFamily: 'var(--font-mono)' }}
                >
                  {over.text}
                </text>
                <text
                  x={x}
                  y={30 + lifted}
                  textAnchor="middle"
                  fontSize="13"
                  fontWeight="650"
                  style={{ fill: ink }}
                >
                  {word}
                </text>
                <g transform={`translate(${x - 6} ${top - 28})`}>
                  {now ? (
                    <path
                      d="M-1 0H13V8L6 15-1 8Z"
                      fill="var(--color-ochre-fill)"
                      stroke="var(--color-bark)"
                      strokeWidth="1.5"
                    />
                  ) : verdict === 'ok' ? (
                    <TickBox size={12} />
                  ) : verdict ? (
                    <path d="M1 1 11 11M11 1 1 11" stroke="var(--color-ochre)" strokeWidth="2.6" />
                  ) : (
                    <circle
                      cx="6"
                      cy="6"
                      r="5"
                      fill="var(--color-paper)"
                      stroke="var(--color-bark-3)"
                      strokeWidth="1.500"
                    />
                  )}
                </g>
                <circle
                  cx={gap}
                  cy={top + box.y + box.h / 2}
                  r="3.500"
                  fill={now ? 'var(--color-slate)' : 'var(--color-bark)'}
                />
              </g>
            );
          })}
        </svg>
      </ScrollRow>
      {layout.beside.length > 0 && (
        <ul className="flex flex-wrap gap-x-5 gap-y-1 bg-inset border border-rule px-2 py-1.5 text-[14px]">
          {layout.beside.map((e) => {
            const p = suspicion.get(e.id) ?? 0;
            const feeds = map.feeds.filter((f) => f.from === e.id).map((f) => f.to);
            const tap = checks.find((c) => c.tap?.after === e.id);
            const record = tap && lastOf(tap.id);
            return (
              <li key={e.id} className="flex items-center gap-2">
                <svg width="14" height="18" viewBox="0 0 14 18" aria-hidden="true">
                  <rect
                    x=".7"
                    y=".7"
                    width="12.6"
                    height="16.6"
                    fill="var(--color-paper)"
                    stroke="var(--color-bark)"
                  />
                  <rect
                    x=".7"
                    y={17.3 - 16.6 * p}
                    width="12.6"
                    height={16.6 * p}
                    fill="var(--color-ochre-fill)"
                    stroke="var(--color-ochre)"
                  />
                </svg>
                <b className="mono">{e.id}</b> {e.name}, feeds {feeds.slice(0, 4).join(' ')}:{' '}
                <b>{percent(p)} %</b>
                {tap && record?.reading !== undefined && (
                  <span className="note">
                    {tap.tap?.id} {formatReading(record.reading, record.unit ?? '')}
                  </span>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
