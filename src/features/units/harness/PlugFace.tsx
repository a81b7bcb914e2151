import type { Plug, Risk } from '../../../core/mixups';

/** Wires are what they are in both themes; a black one has a light edge by night. */
const WIRE: Record<string, string> = {
  BK: '#1d1a18',
  BN: '#6b4226',
  RD: '#b3271e',
  OG: '#e07b1a',
  YE: '#e8c72c',
  GN: '#2f7d3b',
  BU: '#2b5fa8',
  VT: '#7a4a9e',
  GY: '#8c8a86',
  WH: '#f6f3ea',
  PK: '#e39ab0',
};
const MOST = 14;

/** A plug from its face: contacts, the corner of contact 1, the colours of its wires. */
export function PlugFace({ plug }: { plug: Plug }) {
  const columns = Math.min(plug.positions / plug.rows, MOST);
  const w = columns * 14 + 8;
  const h = plug.rows * 14 + 8;
  return (
    <svg
      width={w + 2}
      height={h + 18}
      viewBox={`-1 -1 ${w + 2} ${h + 18}`}
      role="img"
      aria-label={`${plug.positions} contacts${plug.key === null ? ', no key' : ''}${plug.wires?.length ? `, wires ${plug.wires.join(' ')}` : ''}`}
    >
      <rect width={w} height={h} fill="var(--color-inset)" stroke="var(--color-bark)" strokeWidth="1.4" />
      <path d="M0 0H7L0 7Z" fill="var(--color-bark)" />
      {plug.key !== null && <rect x={w / 2 - 6} y={h - 2} width="12" height="4" fill="var(--color-bark)" />}
      {Array.from({ length: columns * plug.rows }, (_, i) => {
        const x = 5 + Math.floor(i / plug.rows) * 14;
        const y = 5 + (i % plug.rows) * 14;
        const wire = WIRE[plug.wires?.[i] ?? ''];
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: contacts are known by their place
          <g key={i}>
            <rect x={x} y={y} width="10" height="10" fill="var(--color-paper)" stroke="var(--color-bark-3)" />
            {wire && (
              <rect
                x={x + 2}
                y={h + 3}
                width="6"
                height="12"
                fill={wire}
                stroke="var(--color-bark-3)"
                strokeWidth=".8"
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** How a plug and a header stand: its own, fits without harm, fits and harms, does not fit. */
export function Mark({ own, risk }: { own: boolean; risk: Risk | undefined }) {
  if (own)
    return (
      <span className="inline-flex gap-1 items-center font-[650]">
        <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
          <rect x="2" y="2" width="12" height="12" fill="var(--color-bark)" />
        </svg>
        own
      </span>
    );
  if (!risk)
    return (
      <span className="text-bark-2" title="does not fit">
        <span aria-hidden="true">–</span>
        <span className="sr-only">does not fit</span>
      </span>
    );
  if (risk.severity === 0)
    return (
      <span className="inline-flex gap-1 items-center text-slate">
        <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
          <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="2" />
        </svg>
        fits
      </span>
    );
  return (
    <span
      className={`inline-flex gap-1 items-center font-[650] ${risk.severity === 3 ? 'text-brick' : 'text-ochre'}`}
      title={risk.why}
    >
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
        <path d="M8 1 15 15H1Z" fill="currentColor" />
      </svg>
      {risk.severity === 3 ? 'burns' : risk.severity === 2 ? 'harms' : 'dead'}
    </span>
  );
}
