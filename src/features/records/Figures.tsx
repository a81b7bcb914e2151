import type { ReactNode } from 'react';
import type { Share, Spread } from '../../core/record';

export const percent = (share: number): string => `${Math.round(share * 100)}\u00a0%`;
export const minutes = (m: number): string => `${m < 10 ? m.toFixed(1) : Math.round(m)}\u00a0min`;

/** Where a share lies from none to all, with the interval it could lie in. */
export function Interval({ share, low, high }: { share: number; low: number; high: number }) {
  const x = (v: number) => 2 + v * 116;
  return (
    <svg
      width="120"
      height="18"
      viewBox="0 0 120 18"
      role="img"
      aria-label={`${percent(share)}, between ${percent(low)} and ${percent(high)}`}
    >
      <path d="M2 9H118" stroke="var(--color-rule-strong)" strokeWidth="1" />
      <path d="M2 5V13M60 6.5V11.5M118 5V13" stroke="var(--color-rule-strong)" strokeWidth="1" />
      <rect
        x={x(low)}
        y="5"
        width={Math.max(1, x(high) - x(low))}
        height="8"
        fill="var(--color-slate-wash)"
        stroke="var(--color-slate-fill)"
      />
      <path d={`M${x(share)} 2V16`} stroke="var(--color-slate)" strokeWidth="3" />
    </svg>
  );
}

/** A share in large figures, with its count and interval; words where there is none. */
export function BigShare({ words, share, none }: { words: string; share: Share | null; none: string }) {
  return (
    <div className="grid gap-1 content-start">
      <b className="text-[15px] leading-[1.2]">{words}</b>
      {share ? (
        <>
          <span className="font-big font-bold text-[40px] leading-[.95]">{percent(share.share)}</span>
          <Interval {...share} />
          <span className="note">
            {share.count} of {share.of}, between {percent(share.low)} and {percent(share.high)}
          </span>
        </>
      ) : (
        <span className="note">{none}</span>
      )}
    </div>
  );
}

/** How long something takes in three columns, or that too few are known. */
export function SpreadCells({ minutes: m }: { minutes: Spread }) {
  if (m.median === null || m.p70 === null || m.p90 === null)
    return (
      <td colSpan={3} className="note">
        five are needed to say
      </td>
    );
  return (
    <>
      <td>{minutes(m.median)}</td>
      <td>{minutes(m.p70)}</td>
      <td>{minutes(m.p90)}</td>
    </>
  );
}

/** A table that scrolls along itself where there is no room for it. */
export const Table = ({ children }: { children: ReactNode }) => (
  <div className="overflow-x-auto [&_th]:pr-3 [&_td]:pr-3">
    <table className="plain">{children}</table>
  </div>
);
