import { format } from 'date-fns';
import { useState } from 'react';
import { priceOf, type QuoteLine } from '../../core/cost';
import { quoteHolds } from '../../core/job';
import { formatMoney } from '../../core/money';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { later } from '../../ui/later';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';

const QuoteDialog = later(() => import('./QuoteDialog').then((m) => m.QuoteDialog));

/** What is offered to the owner, and what came of it. */
export function QuotePanel({ first }: { first: QuoteLine | null }) {
  const { job } = useJob();
  const [making, setMaking] = useState(false);
  const { quote } = job;
  const held = quoteHolds(job);
  return (
    <section aria-label="Quote" className="grid gap-2 border-t border-rule pt-3">
      <h2 className="sec">Quote</h2>
      {!quote && <p className="note">What it would cost, on paper, with the ways one can choose.</p>}
      {quote && (
        <>
          <ol className="rows list-none!">
            {quote.lines.map((l, i) => (
              <li
                key={`${l.way} ${l.what}`}
                className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 leading-[1.25]"
              >
                <span>
                  {quote.answer?.line === i && <b className="text-moss">accepted </b>}
                  <b>{l.what}</b>
                  <span className="note block">{l.way}</span>
                </span>
                <b className="whitespace-nowrap">
                  {formatMoney(priceOf(l, quote.ratePerHour), quote.currency)}
                </b>
              </li>
            ))}
          </ol>
          <p className="note">
            Until {quote.validUntil}.{' '}
            {quote.sent.map((s) => `Sent to ${[s.to, s.how].filter(Boolean).join(', ')}. `)}
            {quote.answer &&
              (quote.answer.line === null
                ? `Refused by ${quote.answer.who}.`
                : `Accepted by ${quote.answer.who}.`)}
          </p>
          {held && <p className="font-[600]">Nothing is mended: {held}</p>}
          {!quote.answer && <Answer />}
        </>
      )}
      <span className="flex flex-wrap gap-2">
        <Second small onClick={() => setMaking(true)}>
          {quote ? 'Make it anew' : 'Make a quote'}
        </Second>
        {quote && (
          <a className="act-2 small" href={`/api/jobs/${job.id}/quote`} target="_blank" rel="noreferrer">
            On paper, PDF
          </a>
        )}
      </span>
      {making && <QuoteDialog first={first} onClose={() => setMaking(false)} />}
    </section>
  );
}

/** It went out; the owner accepts one way, or refuses. */
function Answer() {
  const { job, record } = useJob();
  const [who, setWho] = useState(job.identity?.owner ?? '');
  const [how, setHow] = useState('');
  const [line, setLine] = useState('0');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const { quote } = job;
  if (!quote) return null;
  return (
    <div className="grid gap-2 border border-rule p-2">
      <div className="grid grid-cols-2 gap-2 items-start">
        <TextField
          label="Whom"
          value={who}
          onChange={(e) => setWho(e.target.value)}
          wrong={wrong?.path === '/to' || wrong?.path === '/who' ? wrong.reason : undefined}
          autoComplete="off"
        />
        <TextField
          label="How"
          placeholder="by telephone"
          value={how}
          onChange={(e) => setHow(e.target.value)}
          autoComplete="off"
        />
      </div>
      {quote.lines.length > 1 && (
        <SelectField label="Which way" value={line} onChange={(e) => setLine(e.target.value)}>
          {quote.lines.map((l, i) => (
            <option key={`${l.way} ${l.what}`} value={String(i)}>
              {i + 1}. {l.what}
            </option>
          ))}
        </SelectField>
      )}
      {wrong && !['/to', '/who'].includes(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
      <span className="flex flex-wrap gap-2">
        <Second small onClick={() => setWrong(record('quote.sent', { to: who, how }))}>
          Sent
        </Second>
        <Second
          small
          onClick={() =>
            setWrong(
              record('quote.answered', {
                line: Number(line),
                who,
                ...(how.trim() ? { note: how.trim() } : {}),
              }),
            )
          }
        >
          Accepted
        </Second>
        <Second
          small
          onClick={() =>
            setWrong(
              record('quote.answered', { line: null, who, ...(how.trim() ? { note: how.trim() } : {}) }),
            )
          }
        >
          Refused
        </Second>
      </span>
      <p className="note">Written down {format(new Date(), 'd MMM')}; undo takes it back.</p>
    </div>
  );
}
