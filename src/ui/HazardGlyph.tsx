const GLYPHS: Record<string, React.ReactNode> = {
  mains: <path d="M1 9C4-2 7.500-2 10 9s6 11 9 0" />,
  capacitor: <path d="M0 9H8M12 9H20M8 1V17M12 1V17" />,
  dc: <path d="M1 6H19M1 12H5M8 12H12M15 12H19" />,
  'cell pack': <path d="M1 4H16V14H1ZM16 7H19V11H16M6 4V14M11 4V14" />,
  hot: <path d="M4 16c-3-4 3-5 0-9M10 16c-3-4 3-5 0-9M16 16c-3-4 3-5 0-9" />,
  sharp: <path d="M1 15 6 4 9 12 13 2 19 15Z" />,
  static: <path d="M11 1 4 10H10L8 17 16 7H10Z" />,
  moving: <path d="M10 2a7 7 0 1 1-7 7M3 3V9H9" />,
  optical: <path d="M10 9 19 3M10 9H19M10 9 19 15M2 5H8V13H2Z" />,
};

/** The sign of a kind of hazard, always beside its name. */
export const HazardGlyph = ({ kind }: { kind: string }) => (
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
    {GLYPHS[kind]}
  </svg>
);
