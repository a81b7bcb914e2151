const PITCH = 18.5;

const SHAPES: Record<string, React.ReactNode> = {
  'not begun': (
    <circle
      cx="12"
      cy="12"
      r="7"
      fill="var(--color-linen)"
      stroke="var(--color-rule-strong)"
      strokeWidth="2"
    />
  ),
  'in hand': (
    <path
      d="M3 3.5H13.5L22.5 12 13.5 20.5H3Z"
      fill="var(--color-ochre-fill)"
      stroke="var(--color-bark)"
      strokeWidth="1.75"
      strokeLinejoin="round"
    />
  ),
  held: (
    <>
      <rect x="2" y="2" width="20" height="20" fill="var(--color-linen)" />
      <path d="M5 3V21M19 3V21M5 9H19M5 15.500H19" fill="none" stroke="var(--color-bark)" strokeWidth="2.4" />
    </>
  ),
  done: (
    <>
      <rect x="3" y="3" width="18" height="18" fill="var(--color-moss)" />
      <path d="M7 12.4 10.7 16.2 17.2 7.800" fill="none" stroke="var(--color-paper)" strokeWidth="2.4" />
    </>
  ),
};

/** The silhouette of a state on the run. The word stands beside it wherever there is room. */
export const StopShape = ({ status, size = 24 }: { status: string; size?: number }) => (
  <svg className="shape" width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
    {SHAPES[status]}
  </svg>
);

/** The run of a job, small: one shape per stop on a line. */
export const MiniRun = ({ run }: { run: { stop: string; status: string }[] }) => (
  <svg width={run.length * PITCH} height="16" viewBox={`0 0 ${run.length * PITCH} 16`} aria-hidden="true">
    <path d={`M8 8H${(run.length - 1) * PITCH + 6}`} stroke="var(--color-rule-strong)" strokeWidth="1.5" />
    {run.map(({ stop, status }, i) => (
      <g key={stop} transform={`translate(${i * PITCH} 0) scale(.667)`}>
        {SHAPES[status]}
      </g>
    ))}
  </svg>
);
