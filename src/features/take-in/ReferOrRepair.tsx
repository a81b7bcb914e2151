import { useEffect, useState } from 'react';
import { COMPETENCES, type ReferRequest, weighReferral } from '../../core/refer';
import { Refusal } from '../../core/refusal';
import { Action, Second } from '../../ui/Action';
import { Choices, TextField, Wrong } from '../../ui/Field';
import { kept } from '../../ui/kept';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { useTrace } from '../job/use-trace';

interface Form {
  minutes: string;
  currency: string;
  rate: string;
  parts: string;
  competence: ReferRequest['competence'];
  warranty: boolean;
  makerPrice: string;
  makerDays: string;
  ownDays: string;
  dayCost: string;
}

/** What stays the same from job to job at one bench. */
const KEPT = 'mulch-rates';

const figure = (text: string) => (text.trim() === '' ? undefined : Number(text.trim().replace(',', '.')));
const cents = (text: string) => {
  const n = figure(text);
  return n === undefined ? undefined : Math.round(n * 100);
};

function requestOf(f: Form): ReferRequest {
  const optional = {
    makerPrice: cents(f.makerPrice),
    makerDays: figure(f.makerDays),
    ownDays: figure(f.ownDays),
    dayCost: cents(f.dayCost),
  };
  return {
    minutes: figure(f.minutes) ?? Number.NaN,
    currency: f.currency.trim().toUpperCase(),
    ratePerHour: cents(f.rate) ?? Number.NaN,
    parts: cents(f.parts) ?? 0,
    competence: f.competence,
    warranty: f.warranty,
    ...Object.fromEntries(Object.entries(optional).filter(([, v]) => v !== undefined)),
  };
}

/** Repair here or refer: both with their figures, the advice, and the choice with its reason. */
export function ReferOrRepair() {
  const { job, record, go } = useJob();
  const { view } = useTrace(job);
  const weighed = job.intake?.weighed;
  const expected = view.next[0]?.expectedMinutes ?? view.answer.repairNowMinutes;
  const money = (n: number | undefined) => (n === undefined ? '' : (n / 100).toFixed(2));
  const text = (n: number | undefined) => (n === undefined ? '' : String(n));
  const [f, setF] = useState<Form>({
    minutes: String(Math.round(weighed?.minutes ?? expected)),
    currency: weighed?.currency ?? 'EUR',
    rate: weighed ? money(weighed.ratePerHour) : '60.00',
    parts: weighed ? money(weighed.parts) : '0.00',
    competence: weighed?.competence ?? 'own work',
    warranty: weighed?.warranty ?? false,
    makerPrice: money(weighed?.makerPrice),
    makerDays: text(weighed?.makerDays),
    ownDays: text(weighed?.ownDays),
    dayCost: money(weighed?.dayCost),
  });
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState(weighed?.reason ?? '');
  const [wrong, setWrong] = useState<Refused | null>(null);
  useEffect(() => {
    if (!weighed) setF((x) => ({ ...x, ...kept.read<Partial<Form>>(KEPT) }));
  }, [weighed]);

  const set = (more: Partial<Form>) => {
    setF({ ...f, ...more });
    setWrong(null);
  };
  let answer: ReturnType<typeof weighReferral> | null = null;
  let problem: Refused | null = null;
  try {
    answer = weighReferral(requestOf(f));
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    problem = { reason: error.message, path: error.path };
  }
  const at = (path: string) => {
    const p = wrong ?? problem;
    return p?.path === path ? p.reason : undefined;
  };
  const choose = (choice: 'repair' | 'refer') => {
    if (!answer) return;
    const refused = record('referral.weighed', {
      ...requestOf(f),
      choice,
      ...(reason.trim() ? { reason: reason.trim() } : {}),
    });
    setWrong(refused);
    if (refused) return;
    kept.write(KEPT, { currency: f.currency, rate: f.rate });
    setOpen(false);
    if (choice === 'refer') go('plan');
  };

  return (
    <section aria-label="Refer or repair" className="grid gap-3 border-b border-rule pb-4">
      <div className="lead">
        <h2 className="sec">Refer or repair</h2>
        <span className="note">
          {weighed ? `${weighed.choice}, as weighed` : `about ${Math.round(expected)}\u00a0min to mended`}
        </span>
      </div>
      {!open ? (
        <>
          {weighed && <p className="note">{weighReferral(weighed).reasons.join('; ')}.</p>}
          <Second small className="justify-self-start" onClick={() => setOpen(true)}>
            {weighed ? 'Weigh it again' : 'Weigh it'}
          </Second>
        </>
      ) : (
        <>
          <Choices
            label="Whose work it is"
            name="competence"
            value={f.competence}
            onPick={(v) => set({ competence: v as Form['competence'] })}
            options={COMPETENCES.map((c) => ({ value: c, words: c }))}
          />
          <Choices
            label="Warranty"
            name="warranty"
            value={f.warranty ? 'runs' : 'over'}
            onPick={(v) => set({ warranty: v === 'runs' })}
            options={[
              { value: 'over', words: 'over' },
              { value: 'runs', words: 'still runs' },
            ]}
          />
          <div className="grid grid-cols-2 gap-3">
            {(
              [
                ['minutes', 'Minutes to mended', '/minutes'],
                ['currency', 'Currency', '/currency'],
                ['rate', 'Rate per hour', '/ratePerHour'],
                ['parts', 'Parts', '/parts'],
                ['makerPrice', 'Maker’s fixed price', '/makerPrice'],
                ['makerDays', 'Days at the maker', '/makerDays'],
                ['ownDays', 'Days until done here', '/ownDays'],
                ['dayCost', 'A day without it costs', '/dayCost'],
              ] as const
            ).map(([name, label, path]) => (
              <TextField
                key={name}
                label={label}
                value={f[name]}
                onChange={(e) => set({ [name]: e.target.value })}
                inputMode={name === 'currency' ? 'text' : 'decimal'}
                wrong={at(path)}
                autoComplete="off"
              />
            ))}
          </div>
          {answer && (
            <p className="border-l-4 border-slate-fill bg-slate-wash px-3 py-2">
              <b>The figures say {answer.advice}.</b> {answer.reasons.join('; ')}.
            </p>
          )}
          <TextField
            label="If you choose the other way, why"
            value={reason}
            onChange={(e) => {
              setReason(e.target.value);
              setWrong(null);
            }}
            wrong={at('/reason')}
            hint="It stays in the report."
            autoComplete="off"
          />
          {wrong && wrong.path === '' && <Wrong>{wrong.reason}</Wrong>}
          <div className="flex flex-wrap gap-2">
            <Action
              held={problem ? 'a figure is missing' : undefined}
              onClick={() => choose(answer?.advice ?? 'repair')}
            >
              {answer?.advice === 'refer' ? 'Refer it' : 'Repair here'}
            </Action>
            <Second onClick={() => choose(answer?.advice === 'refer' ? 'repair' : 'refer')}>
              {answer?.advice === 'refer' ? 'Repair here all the same' : 'Refer all the same'}
            </Second>
            <Second small onClick={() => setOpen(false)}>
              Not now
            </Second>
          </div>
        </>
      )}
    </section>
  );
}
