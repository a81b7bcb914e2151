/** A flat cable from the side: its bare contacts at both ends, and where each header has its own. */
export function FlatDrawing({
  cable,
  a,
  b,
  folds,
}: {
  cable: 'same' | 'opposite';
  a: 'up' | 'down';
  b: 'up' | 'down';
  folds: number;
}) {
  // The end at A is drawn to suit its header; what that makes of end B is the question.
  const turned = folds % 2 === 1;
  const upAtA = a === 'up';
  const faceAtB = cable === 'same' ? upAtA : !upAtA;
  const upAtB = turned ? !faceAtB : faceAtB;
  const suits = upAtB === (b === 'up');
  const contact = (x: number, up: boolean, good: boolean) => (
    <rect
      x={x}
      y={up ? 46 : 60}
      width="46"
      height="5"
      fill={good ? 'var(--color-brass)' : 'var(--color-ochre-fill)'}
      stroke="var(--color-bark)"
      strokeWidth="1"
    />
  );
  const header = (x: number, up: boolean, name: string) => (
    <g>
      <rect
        x={x}
        y="26"
        width="70"
        height="60"
        fill="var(--color-shade)"
        stroke="var(--color-bark)"
        strokeWidth="1.5"
      />
      <rect
        x={x + 8}
        y={up ? 36 : 70}
        width="54"
        height="6"
        fill="var(--color-steel)"
        stroke="var(--color-bark)"
      />
      <text x={x + 35} y="20" textAnchor="middle" fontSize="14" fontWeight="700">
        {name}
      </text>
    </g>
  );
  return (
    <svg
      viewBox="0 0 520 112"
      width="100%"
      style={{ maxWidth: 620 }}
      role="img"
      aria-label={`Cable from the side: contacts ${upAtA ? 'above' : 'under'} at A, ${upAtB ? 'above' : 'under'} at B, where the header has its ${b === 'up' ? 'above' : 'under'}: ${suits ? 'they meet' : 'they do not meet'}`}
    >
      {header(14, a === 'up', 'A')}
      {header(436, b === 'up', 'B')}
      <path
        d={turned ? 'M30 55H230C262 55 262 41 246 41S230 70 290 55H490' : 'M30 55H490'}
        fill="none"
        stroke="var(--color-slate-fill)"
        strokeWidth="8"
      />
      <path
        d={turned ? 'M30 55H230C262 55 262 41 246 41S230 70 290 55H490' : 'M30 55H490'}
        fill="none"
        stroke="var(--color-slate-wash)"
        strokeWidth="5"
      />
      {contact(34, upAtA, true)}
      {contact(440, upAtB, suits)}
      <text x="260" y="104" textAnchor="middle" fontSize="14">
        {suits ? 'contacts meet at both ends' : 'at B the contacts look away'}
        {folds > 0 ? `, ${folds} ${folds === 1 ? 'fold' : 'folds'}` : ''}
      </text>
    </svg>
  );
}
