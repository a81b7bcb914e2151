import { useState } from 'react';
import { type ProvingLine, provingLines } from '../../core/job';
import { Refusal } from '../../core/refusal';
import { formatReading, parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** What has to be shown beside the failing check: messages gone, charging, what the owner would lose. */
export function ShownBeside() {
  const { job } = useJob();
  const lines = provingLines(job);
  if (lines.length === 0) return null;
  return (
    <div className="border-t border-rule pt-3">
      <h3 className="sec pb-1">Shown beside it</h3>
      <ul className="rows">
        {lines.map((l) => (
          <Line key={l.id} line={l} />
        ))}
      </ul>
    </div>
  );
}

function Line({ line }: { line: ProvingLine }) {
  const { job, record } = useJob();
  const done = job.proving.find((p) => p.line === line.id);
  const [again, setAgain] = useState(false);
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const say = (outcome: 'ok' | 'bad') => {
    try {
      const typed = text.trim();
      const refused = record('proving.ticked', {
        line: line.id,
        outcome,
        ...(typed ? (line.unit ? { reading: parseReading(typed) } : { note: typed }) : {}),
      });
      setWrong(refused?.reason ?? null);
      if (!refused) setAgain(false);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong(error.message);
    }
  };
  return (
    <li className="grid gap-1">
      <span className="leading-[1.2]">
        <b>{line.ask}</b>
        <span className="note block">
          {line.before ? `before: ${line.before}. ` : ''}
          {line.why}
        </span>
      </span>
      {done && !again ? (
        <span className="flex gap-2 items-center">
          {done.outcome === 'ok' ? <TickBox size={16} /> : <Warn size={16} />}
          <span className={`flex-1 ${done.outcome === 'ok' ? 'text-moss' : 'text-ochre font-[600]'}`}>
            {done.outcome === 'ok' ? 'good' : 'not good'}
            {done.reading !== undefined && `, ${formatReading(done.reading, done.unit ?? '')}`}
            {done.note && `, ${done.note}`}
          </span>
          <Second small onClick={() => setAgain(true)}>
            Once more
          </Second>
        </span>
      ) : (
        <span className="flex flex-wrap gap-2 items-end">
          <TextField
            label={line.unit ? `Reading, ${line.unit}` : 'What it said, or a note'}
            value={text}
            onChange={(e) => setText(e.target.value)}
            autoComplete="off"
            className="flex-1 min-w-[130px]"
          />
          <Second small aria-label={`Good: ${line.ask}`} onClick={() => say('ok')}>
            Good
          </Second>
          <Second small aria-label={`Not good: ${line.ask}`} onClick={() => say('bad')}>
            Not good
          </Second>
        </span>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </li>
  );
}
