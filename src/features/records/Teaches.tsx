import { formatMoney } from '../../core/money';
import type { Taught } from '../../core/record';
import { STOP_TITLE } from '../job/stop-title';
import { ComebackDays } from './ComebackDays';
import { BigShare, Interval, percent, SpreadCells, Table } from './Figures';
import { Lasting } from './Lasting';
import { LearnedMinutes } from './LearnedMinutes';

const TITLES: Record<string, string> = STOP_TITLE;

/** What the jobs that are asked for teach, every figure with what stands behind it. */
export function Teaches({
  taught,
  model,
  units,
  onDays,
}: {
  taught: Taught;
  /** the one that is asked for; empty for all */
  model: string;
  units: { id: string; name: string; model: string }[];
  onDays(): void;
}) {
  const t = taught;
  if (t.handedOver === 0)
    return (
      <p className="note">
        Nothing is handed over of what is asked for. Figures come from jobs that are closed; drop a filter, or
        hand the first one over.
      </p>
    );
  const what = t.by === 'element' ? 'element' : 'kind of element';
  return (
    <div className="grid gap-6 grid-cols-[minmax(0,1fr)]">
      <div className="grid grid-cols-3 max-[760px]:grid-cols-1 gap-4 border-y border-rule-strong py-3">
        <BigShare
          words="Mended at the first visit, no comeback"
          share={t.firstTime}
          none={`No repair is ${t.comebackDays} days old yet`}
        />
        <BigShare
          words={`Came back within ${t.comebackDays} days`}
          share={t.cameBack}
          none={`No repair is ${t.comebackDays} days old yet`}
        />
        <div className="grid gap-1 content-start">
          <b className="text-[15px] leading-[1.2]">Handed over</b>
          <span className="font-big font-bold text-[40px] leading-[.95]">{t.handedOver}</span>
          {t.outcomes.map((o) => (
            <span className="note" key={o.result}>
              {o.result} {o.share.count}, {percent(o.share.share)}
            </span>
          ))}
          {t.notFollowed > 0 && (
            <span className="note">{t.notFollowed} without a mark: nobody can follow them</span>
          )}
        </div>
      </div>
      <section aria-label="How long it holds">
        <h2 className="sec pb-1">How long it holds</h2>
        <p className="note">
          Share of {t.followed} repairs whose fault is not back, by days since the hand over; dashed, where it
          lies nineteen times in twenty.
        </p>
        <Lasting taught={t} />
        <ComebackDays days={t.comebackDays} onSet={onDays} />
      </section>
      <section aria-label="What fails">
        <h2 className="sec pb-1">What fails</h2>
        {t.failed.length === 0 ? (
          <p className="note">Nothing was mended alone and proven yet.</p>
        ) : (
          <Table>
            <thead>
              <tr>
                <th scope="col">{what}</th>
                <th scope="col">jobs</th>
                <th scope="col">share</th>
                <th scope="col">it lies within</th>
              </tr>
            </thead>
            <tbody>
              {t.failed.map((f) => (
                <tr key={f.key}>
                  <td>{f.words}</td>
                  <td>
                    {f.share.count} of {f.share.of}
                  </td>
                  <td>
                    <b>{percent(f.share.share)}</b>
                  </td>
                  <td>
                    <Interval {...f.share} />
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        )}
      </section>
      <section aria-label="What mends it">
        <h2 className="sec pb-1">What mends it</h2>
        {t.remedies.length === 0 ? (
          <p className="note">No remedy was done.</p>
        ) : (
          <Table>
            <thead>
              <tr>
                <th scope="col">remedy</th>
                <th scope="col">mended</th>
                <th scope="col">in vain</th>
                <th scope="col">lasted</th>
                <th scope="col">chance that the next lasts</th>
              </tr>
            </thead>
            <tbody>
              {t.remedies.map((r) => (
                <tr key={r.key}>
                  <td>{r.words}</td>
                  <td>
                    {r.mended}
                    {r.withOthers > 0 && <span className="note"> and {r.withOthers} with others</span>}
                  </td>
                  <td>{r.inVain}</td>
                  <td>
                    {r.lasted} of {r.lasted + r.cameBack}
                  </td>
                  <td className="whitespace-nowrap">
                    <span className="inline-grid grid-cols-[52px_auto] items-center">
                      <b>{percent(r.lasts.chance)}</b>
                      <Interval share={r.lasts.chance} low={r.lasts.low} high={r.lasts.high} />
                    </span>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        )}
      </section>
      <section aria-label="How long it takes">
        <h2 className="sec pb-1">How long it takes</h2>
        <p className="note pb-1">
          Minutes at work from the times of the entries, waits and pauses over half an hour left out.
        </p>
        <Table>
          <thead>
            <tr>
              <th scope="col">at</th>
              <th scope="col">jobs</th>
              <th scope="col">half within</th>
              <th scope="col">7 of 10</th>
              <th scope="col">9 of 10</th>
            </tr>
          </thead>
          <tbody>
            {t.stops.map((s) => (
              <tr key={s.stop}>
                <td>{TITLES[s.stop] ?? s.stop}</td>
                <td>{s.minutes.count}</td>
                <SpreadCells minutes={s.minutes} />
              </tr>
            ))}
            {t.moves.map((m) => (
              <tr key={m.verb}>
                <td>one move: {m.verb}</td>
                <td>{m.minutes.count} moves</td>
                <SpreadCells minutes={m.minutes} />
              </tr>
            ))}
          </tbody>
        </Table>
      </section>
      {t.money.length > 0 && <Money money={t.money} />}
      {model && <LearnedMinutes key={model} units={units.filter((u) => u.model === model)} />}
      <div className="grid grid-cols-3 max-[760px]:grid-cols-1 gap-4">
        <Counts
          title="Found by"
          unit="jobs"
          rows={t.foundBy.map((f) => [f.words, f.count])}
          none="No check told it."
        />
        <Counts
          title="Parts fitted"
          unit="pieces"
          note={t.partsPerRepair === null ? '' : `${t.partsPerRepair.toFixed(2)} a repair`}
          rows={t.parts.map((p) => [p.name, p.count])}
          none="No part was fitted."
        />
        <Counts
          title="Referred to"
          unit="jobs"
          rows={t.referred.map((r) => [r.to, r.count])}
          none="Nothing was referred."
        />
      </div>
    </div>
  );
}

/** What was quoted and accepted, each currency by itself. */
function Money({ money }: { money: Taught['money'] }) {
  return (
    <section aria-label="Money">
      <h2 className="sec pb-1">Money</h2>
      <Table>
        <thead>
          <tr>
            <th scope="col">currency</th>
            <th scope="col">quotes</th>
            <th scope="col">accepted, of those answered</th>
            <th scope="col">in all</th>
            <th scope="col">each</th>
            <th scope="col">minutes worked for one quoted</th>
          </tr>
        </thead>
        <tbody>
          {money.map((m) => (
            <tr key={m.currency}>
              <td>{m.currency}</td>
              <td>{m.quotes}</td>
              <td>
                {m.accepted
                  ? `${m.accepted.count} of ${m.accepted.of}, ${percent(m.accepted.low)} to ${percent(m.accepted.high)}`
                  : 'none answered'}
              </td>
              <td>{formatMoney(m.sum, m.currency)}</td>
              <td>{m.average === null ? 'none accepted' : formatMoney(m.average, m.currency)}</td>
              <td>
                {m.workedPerQuoted
                  ? `${m.workedPerQuoted.ratio.toFixed(2)} in ${m.workedPerQuoted.count} jobs`
                  : 'none handed over'}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  );
}

const MOST = 8;

function Counts({
  title,
  unit,
  note,
  rows,
  none,
}: {
  title: string;
  /** what is counted */
  unit: 'jobs' | 'pieces';
  note?: string;
  rows: [string, number][];
  none: string;
}) {
  return (
    <section aria-label={title}>
      <h2 className="sec pb-1">{title}</h2>
      <p className="note">{[unit, note].filter(Boolean).join(', ')}</p>
      {rows.length === 0 && <p className="note">{none}</p>}
      <ul>
        {rows.slice(0, MOST).map(([words, n]) => (
          <li key={words} className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 py-1 border-b border-rule">
            <span>{words}</span> <b>{n}</b>
          </li>
        ))}
      </ul>
      {rows.length > MOST && <p className="note">and {rows.length - MOST} more, in the table</p>}
    </section>
  );
}
