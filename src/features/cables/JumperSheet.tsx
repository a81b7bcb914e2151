import { Refusal } from '../../core/refusal';
import { jumpers, readOptions, readRules } from '../../core/settings';
import { AreaField, TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { useTyped } from '../../ui/use-kept';

const EMPTY = {
  rules: 'volts=230: JP1 open, JP2 closed\nvolts=115: JP1 closed, JP2 closed\nmodel=TK-2: JP4 closed',
  options: 'volts=230, model=TK-2',
  set: 'JP1 open, JP2 open',
};

/** Jumpers for the unit at hand, worked out from rules, beside what is set. */
export function JumperSheet() {
  const [t, put] = useTyped('jumpers', EMPTY);
  let answer: ReturnType<typeof jumpers> | null = null;
  let wrong: string | null = null;
  try {
    answer = jumpers({
      rules: readRules(t.rules),
      options: readOptions(t.options),
      set: readRules(`x: ${t.set || 'none open'}`)[0]?.then ?? {},
    });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    wrong = error.message;
  }
  const required = Object.entries(answer?.required ?? {});
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] max-[1000px]:grid-cols-1 gap-6">
      <section className="grid gap-3 content-start" aria-label="Rules">
        <AreaField
          label="Rules, one a line"
          rows={6}
          value={t.rules}
          onChange={(e) => put({ rules: e.target.value })}
          hint="options, a colon, then jumpers: volts=230 model=TK-2: JP1 open, JP2 closed"
          spellCheck={false}
        />
        <TextField
          label="What this unit is"
          value={t.options}
          onChange={(e) => put({ options: e.target.value })}
        />
        <TextField label="What is set" value={t.set} onChange={(e) => put({ set: e.target.value })} />
        {wrong && <Wrong>{wrong}</Wrong>}
      </section>
      <section className="grid gap-3 content-start" aria-label="Jumpers">
        <h2 className={`headline ${answer && answer.differences.length === 0 ? 'text-moss' : 'text-ochre'}`}>
          {!answer
            ? 'Jumpers'
            : answer.differences.length === 0
              ? 'Set as this unit wants them'
              : `${answer.differences.length} to set`}
        </h2>
        <ul className="rows">
          {required.map(([jumper, position]) => {
            const d = answer?.differences.find((x) => x.jumper === jumper);
            return (
              <li key={jumper} className="grid grid-cols-[80px_70px_minmax(0,1fr)] gap-3 items-center">
                <svg
                  width="64"
                  height="34"
                  viewBox="0 0 64 34"
                  role="img"
                  aria-label={`${jumper} ${position}`}
                >
                  {position === 'closed' && (
                    <rect
                      x="4"
                      y="5"
                      width="56"
                      height="24"
                      fill="var(--color-slate-fill)"
                      stroke="var(--color-bark)"
                    />
                  )}
                  {[18, 46].map((x) => (
                    <rect
                      key={x}
                      x={x - 5}
                      y="12"
                      width="10"
                      height="10"
                      fill="var(--color-brass)"
                      stroke="var(--color-bark)"
                    />
                  ))}
                </svg>
                <b className="mono">{jumper}</b>
                <span className="flex gap-2 items-center">
                  {d ? <Warn size={16} /> : <TickBox size={16} />}
                  {position}
                  {d && <span className="note">{d.set ? `is ${d.set}` : 'not looked at'}</span>}
                </span>
              </li>
            );
          })}
        </ul>
        {answer && required.length === 0 && <p className="note">No rule holds for this unit.</p>}
      </section>
    </div>
  );
}
