import type { ReactNode } from 'react';
import { type Axis, placeOn } from './axis';

/** What a piece of a strip is: hands on it, a wait that runs by itself, on the way, not to be had. */
export type Piece = {
  kind: 'hands' | 'wait' | 'way' | 'busy';
  from: number;
  until: number;
  words: string;
};

const LOOK: Record<Piece['kind'], string> = {
  hands: 'bg-bark text-on-bark',
  wait: 'border-[1.5px] border-dashed border-bark-2 text-bark-2',
  way: 'lane-way text-bark',
  busy: 'bg-lip text-bark',
};
/** Percent of a strip under which nothing can be read in a piece. */
const TOO_SMALL = 4;

/** One strip over the hours of a day. */
export function Lane({
  axis,
  pieces,
  now,
  posts = [],
  label,
  children,
}: {
  axis: Axis;
  pieces: Piece[];
  now: number | null;
  /** minutes at which a post stands: not before, over by */
  posts?: number[];
  label: string;
  children?: ReactNode;
}) {
  return (
    <span className="lane" role="img" aria-label={label}>
      {axis.hours.map((h) => (
        <span key={h.at} className="lane-hour" style={{ left: `${placeOn(axis, h.at)}%` }} />
      ))}
      {pieces.map((p) => {
        const left = placeOn(axis, p.from);
        const width = placeOn(axis, p.until) - left;
        return (
          <span
            key={`${p.kind} ${p.from}`}
            className={`lane-piece ${LOOK[p.kind]}`}
            style={{ left: `${left}%`, width: `max(3px, ${width}%)` }}
            title={p.words}
          >
            {width > TOO_SMALL &&
              (p.kind === 'way' ? <span>{Math.round(p.until - p.from)}</span> : Math.round(p.until - p.from))}
          </span>
        );
      })}
      {posts.map((at) => (
        <span key={at} className="lane-post" style={{ left: `${placeOn(axis, at)}%` }} />
      ))}
      {now !== null && now >= axis.from && now <= axis.until && (
        <span className="lane-now" style={{ left: `${placeOn(axis, now)}%` }} />
      )}
      {children}
    </span>
  );
}

/** The hours over the strips. */
export const Hours = ({ axis }: { axis: Axis }) => (
  <span className="lane-hours mono" aria-hidden="true">
    {axis.hours.map((h, i) => (
      <span
        key={h.at}
        style={{ left: `${placeOn(axis, h.at)}%` }}
        className={i === axis.hours.length - 1 ? 'last' : ''}
      >
        {h.words.replace(':00', '')}
      </span>
    ))}
  </span>
);

/** What the pieces of a strip mean. */
export const Legend = () => (
  <p className="note flex flex-wrap gap-x-5 gap-y-1 items-center border-t border-rule-strong pt-2">
    {(
      [
        ['hands', 'hands on, minutes'],
        ['wait', 'waits by itself'],
        ['way', 'on the way'],
        ['busy', 'busy elsewhere'],
      ] as const
    ).map(([kind, words]) => (
      <span key={kind} className="inline-flex items-center gap-2">
        <span className={`inline-block w-6 h-4 ${LOOK[kind]}`} aria-hidden="true" />
        {words}
      </span>
    ))}
  </p>
);
