const PICTURES: Record<string, React.ReactNode> = {
  part: (
    <>
      <rect
        x="1"
        y="1"
        width="76"
        height="26"
        fill="var(--color-paper)"
        stroke="var(--color-bark)"
        strokeWidth="1.2"
      />
      <circle cx="7" cy="14" r="2.5" fill="none" stroke="var(--color-bark)" />
      <circle cx="71" cy="14" r="2.5" fill="none" stroke="var(--color-bark)" />
      <path d="M20 9h38M20 14h38M20 19h38" stroke="var(--color-bark)" />
    </>
  ),
  plug: (
    <>
      <path d="M0 9H40M0 14H40M0 19H40" stroke="var(--color-bark)" strokeWidth="1.6" fill="none" />
      <path
        d="M40 4H66V24H40ZM48 4V0H58V4"
        fill="var(--color-steel)"
        stroke="var(--color-bark)"
        strokeWidth="1.2"
      />
      <path d="M66 9H74M66 14H74M66 19H74" stroke="var(--color-bark)" strokeWidth="2" fill="none" />
    </>
  ),
  tie: (
    <path d="M4 22C4 4 40 4 40 14S12 24 12 14H76" fill="none" stroke="var(--color-bark)" strokeWidth="3" />
  ),
  tape: <path d="M2 8H70L76 14 70 20H2L8 14Z" fill="var(--color-kraft)" stroke="var(--color-kraft-edge)" />,
  media: <path d="M6 2H46L56 12V26H6ZM12 8H40V16H12Z" fill="var(--color-shade)" stroke="var(--color-bark)" />,
  change: (
    <path
      d="M4 8H60M52 2l8 6-8 6M72 20H16M24 14l-8 6 8 6"
      fill="none"
      stroke="var(--color-ochre)"
      strokeWidth="2"
    />
  ),
};

/** A small drawing of a kind of thing that is no screw. */
export const PartPicture = ({ kind }: { kind: string }) => (
  <svg width="78" height="28" viewBox="0 0 78 28" aria-hidden="true">
    {PICTURES[kind] ?? PICTURES.part}
  </svg>
);
