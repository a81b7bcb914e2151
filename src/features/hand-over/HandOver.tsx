import { format } from 'date-fns';
import { useState } from 'react';
import { type HandOver as Given, handOverHeldBy, openPoints, RESULTS } from '../../core/job';
import { warrantyEnd } from '../../core/workshop';
import { Action, Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { AreaField, Choices, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { GateSign } from '../../ui/GateSign';
import { later } from '../../ui/later';
import { TickBox } from '../../ui/Signs';
import { useKept } from '../../ui/use-kept';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { useWorkshop } from '../workshop/use-workshop';
import { KeepWayIn } from './KeepWayIn';
import { OpenPoints } from './OpenPoints';
import { NOTHING_OWED, type OwedDraft, OwedList, owedOf } from './OwedList';
import { OwnersPageView } from './OwnersPageView';
import { QuotedAndDone } from './QuotedAndDone';
import { ReplaceBy } from './ReplaceBy';
import { SignatureDrawing } from './SignatureDrawing';
import { WorkshopReport } from './WorkshopReport';

/** The report as it falls out of the record, and the hand over itself. */
export function HandOver() {
  return (
    <div className="cols">
      <Report />
      <Giving />
    </div>
  );
}

const SignDialog = later(() => import('./SignDialog').then((m) => m.default));

type Reader = 'owner' | 'workshop';

function Report() {
  const { job } = useJob();
  const [reader, setReader] = useKept<Reader>('mulch-report-for', 'workshop');
  return (
    <article className="pad grid gap-4 content-start max-w-[860px]">
      <div className="no-print">
        <Choices
          label="Report for"
          name="reader"
          value={reader}
          onPick={(v) => setReader(v as Reader)}
          options={[
            { value: 'owner', words: 'The owner’s page' },
            { value: 'workshop', words: 'The whole report' },
          ]}
          hideLabel
        />
      </div>
      <header className="flex flex-wrap gap-4 items-center">
        <span className="tag mono">{job.tag}</span>
        <div>
          <h2 className="headline">{job.map.name}</h2>
          <p className="note">
            {[
              [job.map.maker, job.map.model].filter(Boolean).join(' '),
              job.identity?.mark,
              job.place,
              'taken in',
            ]
              .filter(Boolean)
              .join(', ')}{' '}
            <Clock at={job.openedAt} day />
          </p>
        </div>
      </header>
      {reader === 'owner' ? <OwnersPageView /> : <WorkshopReport />}
    </article>
  );
}

type More = 'settings' | 'disposal' | 'decidedBy' | 'followUp' | 'warrantyUntil' | 'note';

/** What may be said beside it, each a line of the report. */
const MORE: { key: More; label: string; placeholder?: string; type?: 'date' }[] = [
  { key: 'settings', label: 'Settings restored' },
  { key: 'disposal', label: 'What was taken out goes', placeholder: 'old pack to the collection' },
  { key: 'decidedBy', label: 'Who decided', placeholder: 'harbour master, by telephone' },
  { key: 'followUp', label: 'To be looked at again', placeholder: 'after the spring tide' },
  { key: 'warrantyUntil', label: 'Own warranty until', type: 'date' },
];

function Giving() {
  const { job, record } = useJob();
  const [result, setResult] = useState<Given['result']>(job.plan?.kind === 'refer' ? 'referred' : 'works');
  const [to, setTo] = useState('');
  const [more, setMore] = useState<Partial<Record<More, string>>>({});
  const [wrong, setWrong] = useState<Refused | null>(null);
  const usual = useWarranty();
  const [owed, setOwed] = useState<OwedDraft>(NOTHING_OWED);
  const held = [
    ...handOverHeldBy(job, result),
    ...(result === 'works' ? openPoints(job).map((p) => p.what) : []),
  ];
  const given = job.handedOver;
  const give = (e: React.FormEvent) => {
    e.preventDefault();
    // What was typed and not yet written down is written down with it.
    const open = owed.what.trim() ? record('owed.noted', owedOf(owed)) : null;
    if (open) return setWrong(open);
    setOwed(NOTHING_OWED);
    const said = Object.entries({ ...(result === 'works' ? usual : {}), ...more }).map(
      ([k, v]) => [k, v.trim()] as const,
    );
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
            {MORE.map(({ key, label, placeholder, type }) => (
              <TextField
                key={key}
                label={label}
                placeholder={placeholder}
                type={type}
                wrong={wrong?.path === `/${key}` ? wrong.reason : undefined}
                value={more[key] ?? (result === 'works' && key in usual ? usual.warrantyUntil : '')}
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
            {wrong && !['/to', '/warrantyUntil'].includes(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
            <Foot>
              <Action type="submit" form="hand-over" keyName="Enter">
                Hand over
              </Action>
            </Foot>
          </form>
        </>
      )}
      <QuotedAndDone />
      <Signed />
      <OwedList draft={owed} onDraft={setOwed} />
      <ReplaceBy />
      <KeepWayIn />
      <Papers />
    </section>
  );
}

/** The last day of the warranty that this workshop gives, where it gives one. */
function useWarranty(): { warrantyUntil?: string } {
  const months = useWorkshop()?.warrantyMonths ?? 0;
  return months > 0 ? { warrantyUntil: warrantyEnd(format(new Date(), 'yyyy-MM-dd'), months) } : {};
}

/** Whoever takes it signs for it. */
function Signed() {
  const { job } = useJob();
  const [signing, setSigning] = useState(false);
  const { receipt } = job;
  return (
    <section className="pad grid gap-2 border-t border-rule-strong" aria-label="Receipt">
      <h2 className="sec">Receipt</h2>
      {receipt ? (
        <>
          <SignatureDrawing receipt={receipt} />
          <p className="note">
            Signed for by {receipt.name}, <Clock at={receipt.at} day />
          </p>
        </>
      ) : (
        <p className="note">Nobody has signed for it. It can be handed over without.</p>
      )}
      <Second small className="justify-self-start" onClick={() => setSigning(true)}>
        {receipt ? 'Sign anew' : 'Sign for it'}
      </Second>
      {signing && (
        <SignDialog
          name={receipt?.name ?? job.handedOver?.to ?? job.identity?.owner ?? ''}
          onClose={() => setSigning(false)}
        />
      )}
    </section>
  );
}

/** What can be taken away on paper or as a file. */
function Papers() {
  const { job } = useJob();
  const of = `/api/jobs/${job.id}`;
  return (
    <section className="pad grid gap-3 border-t border-rule-strong" aria-label="On paper and as files">
      <h2 className="sec">On paper, as files</h2>
      <div className="flex flex-wrap gap-3">
        <Second small onClick={() => window.print()}>
          Print the report
        </Second>
        <a className="act-2 small" href={`${of}/report?for=owner`} target="_blank" rel="noreferrer">
          Owner’s page, PDF
        </a>
        <a className="act-2 small" href={`${of}/report?for=workshop`} target="_blank" rel="noreferrer">
          Workshop’s report, PDF
        </a>
        <a className="act-2 small" href={`${of}/bundle`} download>
          Everything as a bundle
        </a>
        <a className="act-2 small" href={`${of}/file`} download>
          The job as a file
        </a>
        <a className="act-2 small" href="/workshop">
          Head of the papers
        </a>
      </div>
    </section>
  );
}
