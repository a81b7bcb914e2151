import { boardAlignment, ROCKING } from '../../core/board';
import { Refusal } from '../../core/refusal';
import { TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { useTyped } from '../../ui/use-kept';

const EMPTY = { columns: '10', rows: '2', strip: '10', pitch: '2.54', standoffs: '3', shrouded: '' };
const HOW = {
  seated: 'Seated',
  'one off along': 'One off along',
  'one row over': 'One row over',
  'turned round': 'Turned round',
} as const;

/** The strip and the board's pins on it, from above. */
function Strip({
  columns,
  strip,
  rows,
  along,
  over,
}: {
  columns: number;
  strip: number;
  rows: number;
  along: number;
  over: number;
}) {
  const step = Math.min(22, 300 / (strip + 3));
  const dots = (n: number, dx: number, dy: number, board: boolean) =>
    Array.from({ length: n * rows }, (_, k) => {
      const [c, r] = [k % n, Math.floor(k / n)];
      return (
        <circle
          // biome-ignore lint/suspicious/noArrayIndexKey: contacts are known by their place
          key={k}
          cx={(c + dx + 1.5) * step}
          cy={(r + dy + 1.5) * step}
          r={board ? step * 0.22 : step * 0.36}
          fill={board ? 'var(--color-bark)' : 'none'}
          stroke="var(--color-bark)"
          strokeWidth="1.2"
        />
      );
    });
  return (
    <svg width={(strip + 3) * step} height={(rows + 2) * step} aria-hidden="true" className="max-w-full">
      {dots(strip, 0, 0, false)}
      {dots(columns, along, over, true)}
    </svg>
  );
}

/** How a plug-in board can sit on its strip, and what rules each wrong way out. */
export function PlugInBoard() {
  const [t, put] = useTyped('board', EMPTY);
  const n = (text: string) => Number(text.replace(',', '.'));
  let cases: ReturnType<typeof boardAlignment> = [];
  let wrong: string | null = null;
  const rows = n(t.rows) === 1 ? 1 : 2;
  try {
    cases = boardAlignment({
      board: { columns: n(t.columns), rows, pitchMm: n(t.pitch) },
      strip: { columns: n(t.strip), rows, pitchMm: n(t.pitch) },
      standoffs: Math.max(0, Math.round(n(t.standoffs)) || 0),
      shrouded: t.shrouded === 'yes',
    });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    wrong = error.message;
  }
  const fields = [
    ['columns', 'Pins along, on the board'],
    ['strip', 'Along, on the strip'],
    ['rows', 'Rows'],
    ['pitch', 'Pitch, mm'],
    ['standoffs', 'Standoffs'],
  ] as const;
  return (
    <div className="grid grid-cols-[280px_minmax(0,1fr)] max-[1000px]:grid-cols-1 gap-6">
      <section className="grid gap-3 content-start" aria-label="Board and strip">
        {fields.map(([key, label]) => (
          <TextField
            key={key}
            label={label}
            value={t[key]}
            onChange={(e) => put({ [key]: e.target.value })}
            inputMode="decimal"
          />
        ))}
        <div className="choices">
          <label>
            <input
              type="checkbox"
              checked={t.shrouded === 'yes'}
              onChange={(e) => put({ shrouded: e.target.checked ? 'yes' : '' })}
            />
            <span className="dot" aria-hidden="true" />
            the strip has a shroud
          </label>
        </div>
        {wrong && <Wrong>{wrong}</Wrong>}
      </section>
      <section className="grid gap-3 content-start" aria-label="Ways to sit">
        <ol className="rows">
          {cases.map((c) => (
            <li
              key={`${c.how} ${c.along} ${c.over}`}
              className="grid grid-cols-[320px_minmax(0,1fr)] max-[760px]:grid-cols-1 gap-4 items-center"
            >
              <Strip columns={n(t.columns)} strip={n(t.strip)} rows={rows} along={c.along} over={c.over} />
              <span>
                <b className="flex gap-2 items-center">
                  {c.how === 'seated' || !c.possible ? <TickBox size={16} /> : <Warn size={16} />}
                  {HOW[c.how]}
                  {c.along !== 0 && ` (${c.along > 0 ? 'right' : 'left'})`}
                  {c.over !== 0 && ` (${c.over > 0 ? 'below' : 'above'})`}
                  {!c.possible && ', ruled out'}
                </b>
                <span className="block text-[14px]">{c.ruledOutBy.join('; ')}</span>
              </span>
            </li>
          ))}
        </ol>
        <h3 className="sec">Off and on</h3>
        <ol className="list-decimal pl-5">
          {ROCKING.map((r) => (
            <li key={r}>{r}</li>
          ))}
        </ol>
        <p className="note">Common practice, no source. A row of pins one off can end two boards.</p>
      </section>
    </div>
  );
}
