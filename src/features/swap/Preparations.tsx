import { useState } from 'react';
import { preparationsOf } from '../../core/job';
import type { PreparationLine } from '../../core/preparation';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { openSum } from '../sums/open-sum';

/** What is seen to before the old part comes out, and before the new one goes in. */
export function Preparations() {
  const { job } = useJob();
  const lines = preparationsOf(job);
  const now = job.out ? 'before in' : 'before out';
  return (
    <div className="grid gap-3">
      {(['before out', 'before in'] as const).map((when) => {
        const own = lines.filter((l) => l.when === when);
        if (own.length === 0) return null;
        return (
          <section
            key={when}
            aria-label={when === 'before out' ? 'Before it comes out' : 'Before it goes in'}
          >
            <h2 className={`sec ${when === now ? '' : 'text-bark-2'}`}>
              {when === 'before out' ? 'Before it comes out' : 'Before it goes in'}
            </h2>
            <ul className="rows">
              {own.map((l) => (
                <Line key={l.id} line={l} />
              ))}
            </ul>
          </section>
        );
      })}
      <p className="note">
        Common practice, no source; those that hold are marked. The maker’s instructions come first.
      </p>
    </div>
  );
}

function Line({ line }: { line: PreparationLine }) {
  const { job, record } = useJob();
  const done = job.swap.prepared.find((p) => p.line === line.id);
  const [note, setNote] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const tick = () =>
    setWrong(
      record('preparation.ticked', { line: line.id, ...(note.trim() ? { note: note.trim() } : {}) })
        ?.reason ?? null,
    );
  return (
    <li className="grid gap-2">
      <span className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center">
        <span className="leading-[1.2]">
          <b>{line.ask}</b>
          <span className="note block">
            {line.why}
            {line.must && !done && <b className="text-bark"> Holds the swap.</b>}
          </span>
          {done?.note && <span className="block text-moss text-[14px]">{done.note}</span>}
          {line.sum && (
            <button
              type="button"
              className="underline min-h-[44px] text-[14px]"
              onClick={() => openSum({ name: line.sum as string })}
            >
              Work it out
            </button>
          )}
        </span>
        {done ? (
          <TickBox size={20} />
        ) : (
          !line.asks && (
            <Second small aria-label={`Done: ${line.ask}`} onClick={tick}>
              Done
            </Second>
          )
        )}
      </span>
      {line.asks && !done && (
        <form
          className="flex gap-2 items-end"
          onSubmit={(e) => {
            e.preventDefault();
            tick();
          }}
        >
          <TextField
            label={line.asks}
            placeholder="+7.4 V"
            value={note}
            onChange={(e) => setNote(e.target.value)}
            className="flex-1"
            autoComplete="off"
          />
          <Second small type="submit">
            Done
          </Second>
        </form>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </li>
  );
}
