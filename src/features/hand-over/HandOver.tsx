import { useState } from 'react';
import { type HandOver as Given, handOverHeldBy, openPoints, RESULTS } from '../../core/job';
import { reportOf } from '../../core/report';
import { Action, Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { AreaField, Choices, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { GateSign } from '../../ui/GateSign';
import { TickBox } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { Thumbs } from '../photos/Thumbs';
import { KeepWayIn } from './KeepWayIn';
import { OpenPoints } from './OpenPoints';
import { ReplaceBy } from './ReplaceBy';

/** The report as it falls out of the record, and the hand over itself. */
export function HandOver() {
  return (
    <div className="cols">
      <Report />
      <Giving />
    </div>
  );
}

function Report() {
  const { job, events } = useJob();
  const sections = reportOf(job, events);
  return (
    <article className="pad grid gap-4 content-start max-w-[860px]">
      <header className="flex flex-wrap gap-4 items-center">
        <span className="tag mono">{job.tag}</span>
        <div>
          <h2 className="headline">{job.map.name}</h2>
          <p className="note">
            {[[job.map.maker, job.map.model].filter(Boolean).join(' '), job.place, 'taken in']
              .filter(Boolean)
              .join(', ')}{' '}
            <Clock at={job.openedAt} day />
          </p>
        </div>
      </header>
      {sections.length === 0 && (
        <p className="note">The report writes itself as the job goes on. Nothing is recorded yet.</p>
      )}
      {sections.map((s) => (
        <section key={s.title}>
          <h3 className="sec pb-1">{s.title}</h3>
          <table className="plain table-fixed">
            <tbody>
              {s.lines.map((l) => (
                <tr
                  key={`${l.at ?? ''} ${l.text} ${l.result ?? ''}`}
                  className="max-[760px]:grid max-[760px]:grid-cols-[104px_minmax(0,1fr)]"
                >
                  <td className="w-[116px] text-bark-2 py-1! text-[14px]">
                    {l.at && <Clock at={l.at} day />}
                  </td>
                  <td className="py-1! w-[50%] max-[760px]:w-auto">{l.text}</td>
                  <td className="py-1! font-[600] max-[760px]:col-start-2 max-[760px]:border-t-0! max-[760px]:empty:hidden">
                    {l.result}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      {job.photos.length > 0 && (
        <section>
          <h3 className="sec pb-2">Pictures</h3>
          <Thumbs photos={job.photos} label="Pictures of the report" />
        </section>
      )}
    </article>
  );
}

type More = 'settings' | 'disposal' | 'owed' | 'decidedBy' | 'followUp' | 'note';

/** What may be said beside it, each a line of the report. */
const MORE: { key: More; label: string; placeholder?: string }[] = [
  { key: 'settings', label: 'Settings restored' },
  { key: 'disposal', label: 'What was taken out goes', placeholder: 'old pack to the collection' },
  { key: 'owed', label: 'Still owed', placeholder: 'registration, the second key' },
  { key: 'decidedBy', label: 'Who decided', placeholder: 'harbour master, by telephone' },
  { key: 'followUp', label: 'To be looked at again', placeholder: 'after the spring tide' },
];

function Giving() {
  const { job, record } = useJob();
  const [result, setResult] = useState<Given['result']>(job.plan?.kind === 'refer' ? 'referred' : 'works');
  const [to, setTo] = useState('');
  const [more, setMore] = useState<Partial<Record<More, string>>>({});
  const [wrong, setWrong] = useState<Refused | null>(null);
  const held = [
    ...handOverHeldBy(job, result),
    ...(result === 'works' ? openPoints(job).map((p) => p.what) : []),
  ];
  const given = job.handedOver;
  const give = (e: React.FormEvent) => {
    e.preventDefault();
    const said = Object.entries(more).map(([k, v]) => [k, v.trim()] as const);
    const filled = Object.fromEntries(said.filter(([, v]) => v));
    setWrong(record('job.handed-over', { to, result, ...filled }));
  };
  return (
    <section className="no-print content-start">
      {given ? (
        <div className="pad grid gap-3">
          <h2 className="sec flex gap-2 items-center">
            <TickBox size={18} /> Handed over to {given.to}
          </h2>
          <p className="note">
            <Clock at={given.at} day />, {given.result}. Undo takes it back.
          </p>
          <Foot>
            <a className="act" href="/">
              Bench
            </a>
          </Foot>
        </div>
      ) : (
        <>
          <div className="gate border-t-0!" data-up={held.length === 0}>
            <GateSign up={held.length === 0} />
            <div>
              <h2 className="sec">{held.length === 0 ? 'Nothing holds it' : 'Held'}</h2>
              <ul className={held.length ? 'list-disc pl-5 note' : 'note'}>
                {held.length === 0 ? (
                  <li>Everything is back, closed and proven.</li>
                ) : (
                  held.map((h) => <li key={h}>{h}</li>)
                )}
              </ul>
            </div>
          </div>
          {result === 'works' && <OpenPoints />}
          <form
            id="hand-over"
            className="pad grid gap-3 border-t border-rule-strong"
            onSubmit={give}
            noValidate
          >
            <Choices
              label="It goes back"
              name="result"
              value={result}
              onPick={(v) => setResult(v as Given['result'])}
              options={RESULTS.map((r) => ({ value: r, words: r }))}
            />
            <TextField
              label="To whom"
              value={to}
              data-next={to.trim() ? undefined : 'ask'}
              onChange={(e) => setTo(e.target.value)}
              wrong={wrong?.path === '/to' ? wrong.reason : undefined}
            />
            {MORE.map(({ key, label, placeholder }) => (
              <TextField
                key={key}
                label={label}
                placeholder={placeholder}
                value={more[key] ?? ''}
                onChange={(e) => setMore({ ...more, [key]: e.target.value })}
                hint={
                  key === 'settings' && job.intake?.keep.length
                    ? `Not to be lost: ${job.intake.keep.join(', ')}`
                    : undefined
                }
                autoComplete="off"
              />
            ))}
            <AreaField
              label="Note"
              value={more.note ?? ''}
              onChange={(e) => setMore({ ...more, note: e.target.value })}
              rows={2}
            />
            {wrong && wrong.path !== '/to' && <Wrong>{wrong.reason}</Wrong>}
            <Foot>
              <Action type="submit" form="hand-over" keyName="Enter">
                Hand over
              </Action>
            </Foot>
          </form>
        </>
      )}
      <ReplaceBy />
      <KeepWayIn />
      <div className="pad flex flex-wrap gap-3 border-t border-rule">
        <Second small onClick={() => window.print()}>
          Print the report
        </Second>
        <a className="act-2 small" href={`/api/jobs/${job.id}/file`} download>
          The job as a file
        </a>
      </div>
    </section>
  );
}
