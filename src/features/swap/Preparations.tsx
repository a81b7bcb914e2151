import { useState } from 'react';
import { preparationsOf } from '../../core/job';
import type { PreparationLine } from '../../core/preparation';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { openSum } from '../sums/open-sum';

const TITLES = { 'before out': 'Before it comes out', 'before in': 'Before it goes in' };

/**
 * What is seen to before the old part comes out, or before the new one goes in: what holds it stands over
 * its box, the rest below.
 */
export function Preparations({ when, holding }: { when: 'before out' | 'before in'; holding: boolean }) {
  const { job } = useJob();
  const holds = (l: PreparationLine) => l.must === true && !job.swap.prepared.some((p) => p.line === l.id);
  const lines = preparationsOf(job).filter((l) => l.when === when && holds(l) === holding);
  if (lines.length === 0) return null;
  const now = when === (job.out ? 'before in' : 'before out');
  const title = holding ? `${TITLES[when]}: it holds the swap` : TITLES[when];
  return (
    <section aria-label={title} className="grid gap-1 content-start">
      <h3 className={`sec ${now ? '' : 'text-bark-2'}`}>{title}</h3>
      <ul className="rows">
        {lines.map((l) => (
          <Line key={l.id} line={l} now={now} />
        ))}
      </ul>
    </section>
  );
}

function Line({ line, now }: { line: PreparationLine /** it is their turn */; now: boolean }) {
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
            <Second small aria-label={`Done: ${line.ask}`} data-next={now || undefined} onClick={tick}>
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
            data-next={now && !note.trim() ? 'ask' : undefined}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            className="flex-1"
            autoComplete="off"
          />
          <Second small type="submit" data-next={(now && Boolean(note.trim())) || undefined}>
            Done
          </Second>
        </form>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </li>
  );
}
