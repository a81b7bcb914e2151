import type { ReactNode } from 'react';
import { ownWords } from '../core/ledger';
import type { Place as Kept } from '../core/line';

export type PlaceLook = 'off' | 'hand' | 'entering' | 'coming back' | 'back' | 'missing' | 'free';

const CUP = (
  <>
    <path className="f" d="M5 6 12 106Q12.500 111 18 111H128Q133.500 111 134 106L141 6" />
    <path d="M0 6H9M137 6H146" stroke="var(--color-bark-2)" strokeWidth="2.5" fill="none" />
  </>
);

const SILHOUETTES: Record<string, ReactNode> = {
  cup: CUP,
  bag: (
    <>
      <path className="f" d="M2 3H144V111H2Z" />
      <path d="M2 9H144" stroke="var(--color-bark-2)" strokeWidth="1.250" />
      <path d="M112 5.500h16v7h-16z" fill="var(--color-bark-2)" />
    </>
  ),
  shelf: (
    <>
      <path className="f" d="M16 3H130L141 14V109H5V14Z" />
      <circle
        cx="73"
        cy="11"
        r="3.600"
        fill="var(--color-tray)"
        stroke="var(--color-kraft-edge)"
        strokeWidth="1.200"
      />
    </>
  ),
  'left in the part': (
    <>
      <path className="f" d="M4 4H142V96H4Z" style={{ stroke: 'none' }} />
      <path d="M4 20V4H20M126 4H142V20" fill="none" stroke="var(--color-bark-2)" strokeWidth="2" />
      <path d="M0 98H58V109H88V98H146" fill="none" stroke="var(--color-bark-2)" strokeWidth="2.200" />
    </>
  ),
  'in its own hole': (
    <>
      <path className="f" d="M4 4H142V98H4Z" style={{ stroke: 'none' }} />
      <path
        d="M4 20V4H20M126 4H142V20M0 100H60V110M86 110V100H146"
        fill="none"
        stroke="var(--color-bark-2)"
        strokeWidth="2"
      />
    </>
  ),
  'taped to the photo': (
    <>
      <path className="f" d="M6 8H140V108H6Z" />
      <path d="M0 4 22 14M124 14 146 4" stroke="var(--color-kraft-edge)" strokeWidth="9" opacity=".55" />
    </>
  ),
};

/** How a place is kept, as short as its edge has room for. */
const KEPT: Record<string, string> = {
  'left in the part': 'in the part',
  'in its own hole': 'own hole',
  'taped to the photo': 'on the photo',
};

interface PlaceProps {
  kind: Kept['kind'];
  label?: string | undefined;
  look: PlaceLook;
  /** big figure and the word beside it */
  figure: ReactNode;
  word: ReactNode;
  picture: ReactNode;
  spec: string;
  from?: string | undefined;
  /** what it must not be taken for */
  twin?: string | undefined;
  onOpen?: (() => void) | undefined;
  spoken: string;
}

/** One place of the tray: its silhouette says how the thing is kept, its edge how it stands. */
export function Place({
  kind,
  label,
  look,
  figure,
  word,
  picture,
  spec,
  from,
  twin,
  onOpen,
  spoken,
}: PlaceProps) {
  const own = ownWords({ kind, ...(label ? { label } : {}) });
  const inside = (
    <>
      <svg className="silhouette" viewBox="0 0 146 112" preserveAspectRatio="none" aria-hidden="true">
        {SILHOUETTES[kind] ?? CUP}
      </svg>
      <span className="top">
        <span className="kept">
          {own ?? KEPT[kind] ?? kind} {label && !own && <b>{label}</b>}
        </span>
        <span className="n">
          {figure}
          <small>{word}</small>
        </span>
      </span>
      <span className="pic">{picture}</span>
      <span className="spec">{spec}</span>
      {from && <span className="from">{from}</span>}
      {twin && <span className="twin">{twin}</span>}
    </>
  );
  return onOpen ? (
    <button
      type="button"
      className="place"
      data-kind={kind}
      data-look={look}
      data-twin={twin ? true : undefined}
      onClick={onOpen}
      aria-label={spoken}
    >
      {inside}
    </button>
  ) : (
    <span className="place" data-kind={kind} data-look={look} role="img" aria-label={spoken}>
      {inside}
    </span>
  );
}

/** A place that is still free. */
export const FreePlace = ({ children }: { children?: ReactNode }) => (
  <span className="place" data-look="free" aria-hidden={children ? undefined : true}>
    <svg className="silhouette" viewBox="0 0 146 112" preserveAspectRatio="none" aria-hidden="true">
      <path className="f" d="M5 6 12 106Q12.500 111 18 111H128Q133.500 111 134 106L141 6" />
    </svg>
    <span className="free">{children}</span>
  </span>
);
