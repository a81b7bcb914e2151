import type { PlugsBackQuestion } from '../../../core/practice';

const MARGIN = 16;
const PITCH = 4;

const contacts = (h: PlugsBackQuestion['headers'][number]) =>
  Array.from({ length: h.positions }, (_, k) => ({
    name: `contact ${k + 1}`,
    cx: Math.floor(k / h.rows) * PITCH,
    cy: (k % h.rows) * PITCH,
  }));

/** The board with its headers in their places, and what sits in them. */
export function HeaderBoard({
  question,
  taken,
}: {
  question: PlugsBackQuestion;
  taken: Map<string, string>;
}) {
  const xs = question.headers.map((h) => h.at.x);
  const ys = question.headers.map((h) => h.at.y);
  const left = Math.min(...xs);
  const top = Math.min(...ys);
  const width = Math.max(...xs) - left + 2 * MARGIN + 24;
  const height = Math.max(...ys) - top + 2 * MARGIN + 10;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="w-full max-h-[420px]"
      role="img"
      aria-label={`Board ${question.board}: ${question.headers.map((h) => `${h.id}${taken.has(h.id) ? ` with ${taken.get(h.id)}` : ' empty'}`).join(', ')}`}
    >
      <rect
        x="1"
        y="1"
        width={width - 2}
        height={height - 2}
        fill="var(--color-pcb)"
        stroke="var(--color-pcb-line)"
      />
      {question.headers.map((h) => {
        const x = h.at.x - left + MARGIN;
        const y = h.at.y - top + MARGIN;
        const across = Math.ceil(h.positions / h.rows);
        const full = taken.get(h.id);
        return (
          <g key={h.id}>
            <rect
              x={x - 2.5}
              y={y - 2.5}
              width={across * PITCH + 1}
              height={h.rows * PITCH + 1}
              fill={full ? 'var(--color-kraft)' : 'var(--color-paper)'}
              stroke="var(--color-bark)"
              strokeWidth=".7"
              strokeDasharray={h.open ? '1.6 1.2' : undefined}
            />
            {contacts(h).map(({ name, cx, cy }) => (
              <circle key={name} cx={x + cx} cy={y + cy} r="1" fill="var(--color-bark)" />
            ))}
            <text
              x={x - 2}
              y={y + h.rows * PITCH + 4}
              fontSize="4.6"
              fontWeight="700"
              fill="var(--color-bark)"
            >
              {h.id}
              {h.key ? '' : h.open ? ' open' : ''}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
