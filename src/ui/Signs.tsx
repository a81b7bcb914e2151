/** Small drawn signs. They are decoration beside a word, so they are hidden from readers. */
interface Size {
  size?: number;
}

export const TickBox = ({ size = 15 }: Size) => (
  <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden="true">
    <rect width="18" height="18" fill="var(--color-moss)" />
    <path d="M4 9.4 7.7 13.2 14.2 4.8" fill="none" stroke="var(--color-paper)" strokeWidth="2.4" />
  </svg>
);

export const Warn = ({ size = 16 }: Size) => (
  <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden="true">
    <path
      d="M9 1.2 17.3 16.4H.7Z"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.9"
      strokeLinejoin="round"
    />
    <path d="M9 6.2v5.4M9 13.1v1.7" stroke="currentColor" strokeWidth="2" />
  </svg>
);

export const Arrow = ({ size = 20, turn = 0 }: Size & { turn?: number }) => (
  <svg
    width={size}
    height={size}
    viewBox="0 0 20 20"
    aria-hidden="true"
    style={{ transform: `rotate(${turn}deg)` }}
  >
    <path d="M2 10H17M11 4l6 6-6 6" fill="none" stroke="currentColor" strokeWidth="2.4" />
  </svg>
);

export const NotEqual = ({ size = 16 }: Size) => (
  <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden="true">
    <path d="M2 6.5H16M2 11.5H16M13 1.5 5 16.5" stroke="currentColor" strokeWidth="2" fill="none" />
  </svg>
);

export const Flip = ({ size = 22 }: Size) => (
  <svg width={size} height={size} viewBox="0 0 22 22" aria-hidden="true">
    <path
      d="M5 13V7.5H17M13 3.5l4 4-4 4M17 9V14.500H5M9 10.500l-4 4 4 4"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.9"
    />
  </svg>
);

/** Pointing pentagon of what is in hand. */
export const Pointer = ({ size = 40 }: Size) => (
  <svg width={size} height={size * 0.8} viewBox="0 0 44 35" aria-hidden="true">
    <path
      d="M1.500 1.500H29L42 17.500 29 33.500H1.500Z"
      fill="var(--color-ochre-fill)"
      stroke="var(--color-bark)"
      strokeWidth="1.75"
      strokeLinejoin="round"
    />
    <path d="M9 17.500H27M20 11l7 6.500-7 6.500" fill="none" stroke="#271C14" strokeWidth="2.4" />
  </svg>
);

/** Two posts and two bars: held. */
export const Posts = ({ size = 40 }: Size) => (
  <svg width={size} height={size * 0.86} viewBox="0 0 40 34" aria-hidden="true">
    <path d="M6 1V33M34 1V33M6 11H34M6 23H34" fill="none" stroke="var(--color-bark)" strokeWidth="3.4" />
  </svg>
);

/** A parcel: waiting for something to come. */
export const Parcel = ({ size = 40 }: Size) => (
  <svg width={size} height={size * 0.86} viewBox="0 0 40 34" aria-hidden="true">
    <rect
      x="3"
      y="3"
      width="34"
      height="28"
      fill="var(--color-kraft)"
      stroke="var(--color-kraft-edge)"
      strokeWidth="1.5"
    />
    <path d="M3 13H37M20 3V31" stroke="var(--color-kraft-edge)" strokeWidth="1.5" fill="none" />
  </svg>
);

export const Pencil = ({ size = 18 }: Size) => (
  <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden="true">
    <path
      d="M2.5 15.5 3.6 11 12.4 2.2 15.8 5.6 7 14.4Z M10.6 4l3.4 3.4"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinejoin="round"
    />
  </svg>
);

/** What can be dragged by it. */
export const Grip = ({ size = 20 }: Size) => (
  <svg width={size} height={size} viewBox="0 0 20 20" fill="currentColor" aria-hidden="true">
    {[5, 10, 15].flatMap((y) => [7, 13].map((x) => <circle key={`${x} ${y}`} cx={x} cy={y} r="1.6" />))}
  </svg>
);
