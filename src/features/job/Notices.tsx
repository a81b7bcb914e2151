import { useEffect, useState } from 'react';
import type { Stop } from '../../core/job';
import { Warn } from '../../ui/Signs';
import { FULL_WORDS, useNearlyFull } from '../offline/nearly-full';
import { fileOfWaiting } from '../unsent/save-waiting';
import { STOP_TITLE } from './stop-title';
import { looksOn, useJob, useLink } from './use-job';

const entries = (n: number) => `${n} ${n === 1 ? 'entry' : 'entries'}`;

/** One thing to be read, with what can be done about it. */
function Notice({
  alert,
  children,
  act,
}: {
  alert?: boolean;
  children: React.ReactNode;
  act?: React.ReactNode;
}) {
  return (
    <div className="notice" {...(alert ? { role: 'alert' } : {})}>
      <Warn />
      <span className="[overflow-wrap:anywhere]">{children}</span>
      {act ?? <span />}
    </div>
  );
}

/** What the whole job view has to say: unsent, turned back, sent again. */
export function Notices({
  refusal,
  away,
  onDismiss,
}: {
  refusal: string | null;
  /** a stop that was asked for and could not be fetched */
  away: Stop | null;
  onDismiss(): void;
}) {
  const { job } = useJob();
  const full = useNearlyFull();
  const [only, setOnly] = useState<string | null>(null);
  // Who is signed in is known once the page is alive.
  useEffect(() => setOnly(looksOn()?.reason ?? null), []);
  const { turnedBack, trouble, unsent, keepsNothing, sentAgain, dismiss, waiting } = useLink();
  const read = (
    <button type="button" onClick={dismiss}>
      Read
    </button>
  );
  const isAre = unsent === 1 ? 'is' : 'are';
  const kept = keepsNothing
    ? `${entries(unsent)} will be lost with this page: this browser keeps nothing. Leave the page open`
    : `${entries(unsent)} ${isAre} kept here and sent ${trouble?.kind === 'server' ? 'again by itself' : 'when it is back'}`;
  return (
    <div aria-live="polite" className="no-print">
      {only && <Notice>{only}.</Notice>}
      {turnedBack.map(({ id, reason, said }) => (
        <Notice key={id} alert act={read}>
          An entry was taken back: {reason}
          <span className="block note">It said: {said}</span>
        </Notice>
      ))}
      {sentAgain > 0 && (
        <Notice alert act={read}>
          The server has gone back to an older copy and lacked {entries(sentAgain)} of this job. They are
          being sent again from here.
        </Notice>
      )}
      {refusal && (
        <Notice
          alert
          act={
            <button type="button" onClick={onDismiss}>
              Read
            </button>
          }
        >
          {refusal}
        </Notice>
      )}
      {away && (
        <Notice alert>
          {STOP_TITLE[away]} could not be fetched: there is no connection. Ask for it again.
        </Notice>
      )}
      {trouble?.kind === 'connection' && (
        <Notice>
          No connection.{' '}
          {unsent
            ? `${kept}.`
            : keepsNothing
              ? 'This browser keeps nothing: wait for it.'
              : 'Go on: entries are kept here.'}
        </Notice>
      )}
      {trouble?.kind === 'server' && (
        <Notice>
          The server does not take {unsent === 1 ? 'an entry' : 'entries'} now: {trouble.reason}. {kept}.
        </Notice>
      )}
      {trouble?.kind === 'signed out' && (
        <Notice
          alert
          act={
            <a className="act-2" href={`/sign-in?to=${encodeURIComponent(window.location.pathname)}`}>
              Sign in
            </a>
          }
        >
          This device is signed out.{' '}
          {unsent > 0 && `${entries(unsent)} ${isAre} kept here until somebody signs in.`}
        </Notice>
      )}
      {trouble?.kind === 'unknown job' && (
        <Notice
          alert
          act={
            unsent > 0 ? (
              <a
                className="act-2"
                download={`${job.tag} unsent.json`}
                href={fileOfWaiting(job.id, waiting())}
              >
                Save as a file
              </a>
            ) : undefined
          }
        >
          The server does not know this job: it has another database, or an older one.{' '}
          {unsent > 0 && `${entries(unsent)} ${unsent === 1 ? 'stays' : 'stay'} here.`}
        </Notice>
      )}
      {full && <Notice>{FULL_WORDS}</Notice>}
      {keepsNothing && !trouble && (
        <Notice>
          This browser keeps nothing by itself: an entry is safe only once the server has it. Do not leave
          while it says unsent.
        </Notice>
      )}
    </div>
  );
}
