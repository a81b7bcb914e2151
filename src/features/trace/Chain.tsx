import { type ReactNode, useId, useMemo, useState } from 'react';
import { type TraceRecord, verdictOf } from '../../core/job';
import { formatReading, type MapCheck, type UnitMap } from '../../core/unit';
import { Second } from '../../ui/Action';
import { ElementDrawing, groundOf } from '../../ui/ElementDrawing';
import { ScrollRow } from '../../ui/ScrollRow';
import { TickBox } from '../../ui/Signs';
import { ChainList } from './ChainList';
import { type Box, layoutChain } from './layout';
import { testedBy } from './tested';

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
const TOP = 64;
const FOOT = 40;

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
  const gapCount = (gap: number) => taps.filter((t) => t.gap === gap).length;
  const width = Math.max(layout.width + 24, 300);
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
          viewBox={`-6 0 ${width} ${TOP + layout.height + FOOT}`}
          role="img"
          aria-label={`Suspicion per element: ${spoken}`}
          style={large ? { minWidth: width * 1.5 } : { minWidth: Math.min(width, 640), maxHeight: 300 }}
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
          <g transform={`translate(0 ${TOP})`}>
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
                  <text y="37" fontSize="13" style={{ fill: 'var(--color-bark-2)' }}>
                    {b.w < 80 && b.name.length > 13
                      ? `${b.name.slice(0, b.name.lastIndexOf(' ', 13) > 0 ? b.name.lastIndexOf(' ', 13) : 12)}`
                      : b.name}
                  </text>
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
          {taps.map(({ check, tap, box, gap, n }) => {
            const shift = gapCount(gap) > 1 ? (n - (gapCount(gap) - 1) / 2) * 50 : 0;
            const x = Math.min(Math.max(gap + shift, 20), width - 34);
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
                <path
                  d={`M${x} 50V${TOP - 6}L${gap} ${TOP + 2}V${TOP + box.y + box.h / 2}`}
                  fill="none"
                  stroke={now ? 'var(--color-slate)' : 'var(--color-bark-3)'}
                  strokeWidth={now ? 2 : 1.1}
                  strokeDasharray={now ? '5 3' : '2 3'}
                />
                <text
                  x={x}
                  y="14"
                  textAnchor="middle"
                  fontSize="15"
                  fontWeight="700"
                  style={{ fontFamily: 'var(--font-mono)' }}
                >
                  {tap.id}
                </text>
                <text x={x} y="30" textAnchor="middle" fontSize="13" fontWeight="650" style={{ fill: ink }}>
                  {word}
                </text>
                <g transform={`translate(${x - 6} 36)`}>
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
                  cy={TOP + box.y + box.h / 2}
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
