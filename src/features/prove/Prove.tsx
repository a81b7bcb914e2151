import { useState } from 'react';
import {
  type BeforeAfter,
  beforeAfter,
  fixesOf,
  fixWords,
  functionsTried,
  goodInARow,
  isAimed,
  isDone,
  repeatsWanted,
  type Stop,
  symptomId,
  symptomProof,
} from '../../core/job';
import { formatReading, type MapCheck } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { RangeStrip } from '../../ui/RangeStrip';
import { TickBox, Warn } from '../../ui/Signs';
import { useFocusKept } from '../../ui/use-focus-kept';
import { useJob } from '../job/use-job';
import { Answering } from '../trace/Answering';
import { Parties } from './Parties';
import { Repeats } from './Repeats';
import { ShownBeside } from './ShownBeside';
import { SoakTest } from './SoakTest';

/** The failing checks once more, before and after side by side. */
export function Prove() {
  const { job, go } = useJob();
  if (!isDone(job)) {
    return (
      <div className="empty">
        <h2>Nothing has been mended yet</h2>
        <p>Here the check that failed is made once more, beside what it said before. First the remedy.</p>
        <Foot>
          <Action keyName="Enter" onClick={() => go(job.plan ? 'swap' : 'plan')}>
            {job.plan ? 'Swap' : 'Plan'}
          </Action>
        </Foot>
      </div>
    );
  }
  return <ProveSheet />;
}

const said = (pair: BeforeAfter, v: { reading?: number; unit?: string; outcome?: string }) =>
  v.reading === undefined
    ? v.outcome === 'not tried'
      ? 'not tried'
      : v.outcome === 'ok'
        ? pair.check.ok
        : pair.check.bad
    : formatReading(v.reading, v.unit ?? '');

function ProveSheet() {
  const { job, record, go } = useJob();
  const pairs = beforeAfter(job);
  const [picked, setPicked] = useState<string | null>(null);
  const functions = functionsTried(job);
  const proof = symptomProof(job);
  const again = goodInARow(job) < repeatsWanted(job);
  // Once the symptom came back, the rest need not be tried; one that comes and goes is tried again. Nothing that is
  // mended and shut is opened for a reading by itself.
  const firstOpen =
    proof?.outcome === 'bad'
      ? undefined
      : pairs.find(
          (p) => (!p.after && !(proof && p.under.length)) || (again && p.check.id === symptomId(job)),
        );
  const chosen: { check: MapCheck } | undefined =
    pairs.find((p) => p.check.id === picked) ?? functions.find((f) => f.check.id === picked) ?? firstOpen;
  const [wrong, setWrong] = useState<string | null>(null);
  const place = useFocusKept<HTMLDivElement>(`${job.proofs.length} ${chosen?.check.id}`);
  const open = job.ledger.covers.filter((c) => c.state !== 'final').map((c) => c.name);
  const aimed = isAimed(job);
  const head = proof
    ? proof.outcome === 'ok'
      ? aimed
        ? 'It works'
        : 'It works again'
      : aimed
        ? 'It does not work yet'
        : 'It still fails'
    : aimed
      ? 'Show that it works'
      : 'Repeat the check that failed';
  return (
    <div className="cols">
      <section className="min-w-0">
        <div className="pad lead pb-2!">
          <h2 className="headline">{head}</h2>
          <span className="note">
            {open.length ? `tested with the ${open.join(', the ')} off` : 'tested closed'}
          </span>
        </div>
        <div className="px-4 overflow-x-auto">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">Check</th>
                <th scope="col">Before</th>
                <th scope="col">After</th>
                <th scope="col">
                  <span className="sr-only">Repeat</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {pairs.map((p) => (
                <tr key={p.check.id} className={p.check.id === chosen?.check.id ? 'bg-ochre-wash' : ''}>
                  <th scope="row" className="text-bark! text-[16px]! font-[650]! pl-2!">
                    {p.check.title}
                  </th>
                  <td>
                    <b className="text-ochre flex gap-1 items-center">
                      <Warn size={14} /> {said(p, p.before)}
                    </b>
                    <span className="note">
                      <Clock at={p.before.at} day />
                    </span>
                  </td>
                  <td>
                    {p.after ? (
                      <>
                        <b
                          className={`flex gap-1 items-center ${p.after.outcome === 'ok' ? 'text-moss' : 'text-ochre'}`}
                        >
                          {p.after.outcome === 'ok' ? <TickBox size={14} /> : <Warn size={14} />}{' '}
                          {said(p, p.after)}
                        </b>
                        <span className="note">
                          <Clock at={p.after.at} day />
                          {p.after.open.length > 0 && `, ${p.after.open.join(', ')} off`}
                        </span>
                      </>
                    ) : (
                      <span className="note">
                        {p.under.length
                          ? `not again; it lies under the ${p.under.join(', then the ')}`
                          : 'not yet'}
                      </span>
                    )}
                  </td>
                  <td className="text-right">
                    <Second
                      small
                      onClick={() => setPicked(p.check.id)}
                      aria-label={`Repeat ${p.check.title}`}
                    >
                      {p.after ? 'Once more' : 'Repeat'}
                    </Second>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {chosen && (
          <div ref={place} tabIndex={-1} className="pad border-t border-rule-strong mt-3">
            <Answering
              key={`${chosen.check.id} ${job.proofs.length}`}
              check={chosen.check}
              onAnswer={(a) => {
                const refused = record('proof.recorded', a);
                if (!refused) setPicked(null);
                return refused?.reason ?? null;
              }}
            />
          </div>
        )}
      </section>
      <section className="pad grid gap-4 content-start">
        <Parties />
        <h2 className="sec">Result</h2>
        {!proof && (
          <p className="note">
            Power on, then the function the owner missed. Keep hands out: what the power arms is live again at
            once.
          </p>
        )}
        {proof?.outcome === 'ok' && (
          <>
            <p className="flex gap-2 items-center text-moss font-[650]">
              <TickBox size={18} />{' '}
              {fixWords(job) ? `${fixWords(job)} mended it` : 'It works as it was put together'}
            </p>
            <p className="note">
              Signed by {proof.by}, <Clock at={proof.at} day />
              {proof.open.length > 0 ? `, with the ${proof.open.join(', the ')} off` : ', closed'}
            </p>
            {open.length > 0 ? (
              <>
                <p className="note">Proven open. Close up, then repeat it closed.</p>
                <Onward beside={chosen !== undefined} keyName="7" to="close up" words="Close up" />
              </>
            ) : (
              <Onward beside={chosen !== undefined} keyName="9" to="hand over" words="Hand over" />
            )}
          </>
        )}
        {proof?.outcome === 'bad' && (
          <>
            <p className="flex gap-2 text-ochre font-[650]">
              <Warn size={18} /> {fixWords(job) ? `${fixWords(job)} did not mend it` : 'It does not work yet'}
            </p>
            <p className="note">
              {job.fix ? (
                <>
                  It goes into the log: the suspicion of{' '}
                  {fixesOf(job)
                    .map((f) => f.element)
                    .join(' and ')}{' '}
                  falls by what this remedy would have mended, and the next rung or the next suspect comes up.
                </>
              ) : (
                'No part was changed: the search goes on where it stood.'
              )}
            </p>
            {!chosen && (
              <Foot>
                <Action
                  keyName="Enter"
                  onClick={() => {
                    const refused = job.fix ? record('remedy.tried', {}) : null;
                    setWrong(refused?.reason ?? null);
                    if (!refused) go('trace');
                  }}
                >
                  Back to Trace
                </Action>
              </Foot>
            )}
            {wrong && <Wrong>{wrong}</Wrong>}
          </>
        )}
        <Repeats />
        <ShownBeside />
        <SoakTest onLook={() => setPicked(symptomId(job))} />
        {functions.length > 1 && (
          <div className="border-t border-rule pt-3">
            <h3 className="sec pb-1">Everything it should do</h3>
            <ul className="rows">
              {functions.map(({ check, name, last }) => (
                <li key={check.id} className="flex gap-3 items-center">
                  <span className="flex-1 leading-[1.2]">
                    {name}
                    <span
                      className={`block text-[14px] ${last ? (last.outcome === 'ok' ? 'text-moss' : 'text-ochre font-[600]') : 'text-bark-2'}`}
                    >
                      {last ? (last.outcome === 'ok' ? 'works' : 'fails') : 'not tried since'}
                    </span>
                  </span>
                  <Second small aria-label={`Try: ${name}`} onClick={() => setPicked(check.id)}>
                    Try
                  </Second>
                </li>
              ))}
            </ul>
          </div>
        )}
        {pairs
          .filter((p) => p.check.tap?.expect)
          .map((p) => (
            <div key={p.check.id} className="border-t border-rule pt-3">
              <b className="mono">{p.check.tap?.id}</b> {p.check.tap?.name}
              {p.check.tap?.expect && (
                <RangeStrip
                  {...p.check.tap.expect}
                  value={p.after?.reading ?? ('reading' in p.before ? p.before.reading : undefined)}
                  width={300}
                />
              )}
            </div>
          ))}
      </section>
    </div>
  );
}

/** The way to the next stop: the one action, or beside a check that is still being made. */
function Onward({
  beside,
  to,
  words,
  keyName,
}: {
  beside: boolean;
  to: Stop;
  words: string;
  keyName: string;
}) {
  const { go } = useJob();
  if (beside)
    return (
      <Second keyName={keyName} className="justify-self-start" onClick={() => go(to)}>
        {words}
      </Second>
    );
  return (
    <Foot>
      <Action keyName={keyName} onClick={() => go(to)}>
        {words}
      </Action>
    </Foot>
  );
}
