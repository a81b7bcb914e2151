import { HAZARDS, type HazardKind } from '../core/unit';

/** The sign of a kind of hazard, always beside its name. */
export const HazardGlyph = ({ kind }: { kind: HazardKind }) => (
  <svg
    width="20"
    height="18"
    viewBox="0 0 20 18"
    fill="none"
    stroke="currentColor"
    strokeWidth="2.1"
    strokeLinejoin="round"
    aria-hidden="true"
  >
    <path d={HAZARDS[kind].sign} />
  </svg>
);
