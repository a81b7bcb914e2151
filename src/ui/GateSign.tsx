/** Two posts and a bar: down while something holds, up when it is cleared. */
export const GateSign = ({ up }: { up: boolean }) => (
  <svg width="52" height="44" viewBox="0 0 52 44" aria-hidden="true">
    <path d="M6 4V42M46 4V42" stroke="var(--color-bark)" strokeWidth="4" />
    <path
      className="bar"
      d="M6 14H46"
      stroke={up ? 'var(--color-moss)' : 'var(--color-bark)'}
      strokeWidth="5"
    />
  </svg>
);
