import { useCallback, useEffect, useState } from 'react';
import type { Stop } from '../../core/job';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { Dialog } from '../../ui/Dialog';
import { Wrong } from '../../ui/Field';
import { STOP_TITLE } from '../job/stop-title';
import { signedIn } from '../people/signed-in';
import { send } from '../units/send';

interface Offer {
  link: string;
  code: string;
  /** how long it waits, by the clock of the server */
  seconds: number;
  fingerprint: string | null;
}

/** This job on one device more: a code for its camera. */
export function BesideDialog({ job, stop, onClose }: { job: string; stop: Stop; onClose(): void }) {
  return (
    <Dialog open onClose={onClose} title="Beside this">
      {signedIn() ? <Offered job={job} stop={stop} /> : <NobodyYet />}
    </Dialog>
  );
}

/** A phone has to know who holds it. */
const NobodyYet = () => (
  <div className="grid gap-3 justify-items-start">
    <p>
      The phone in the pocket can show this job as well: its camera, its ticks, at the same stop. For that
      Mulch has to know who may come in, and nobody is registered yet.
    </p>
    <a className="act" href="/people">
      Register the first person
    </a>
  </div>
);

function Offered({ job, stop }: { job: string; stop: Stop }) {
  const [offer, setOffer] = useState<Offer | null>(null);
  const [wrong, setWrong] = useState('');
  const [until, setUntil] = useState('');
  const [over, setOver] = useState(false);
  const ask = useCallback(async () => {
    setOver(false);
    setOffer(null);
    const sent = await send<Offer>(`/api/jobs/${job}/beside`, { stop });
    setWrong(sent.ok ? '' : sent.failure.reason);
    if (!sent.ok) return;
    setUntil(new Date(Date.now() + sent.data.seconds * 1000).toISOString());
    setOffer(sent.data);
  }, [job, stop]);
  useEffect(() => void ask(), [ask]);
  useEffect(() => {
    if (!offer) return;
    const timer = setTimeout(() => setOver(true), offer.seconds * 1000);
    return () => clearTimeout(timer);
  }, [offer]);
  if (wrong)
    return (
      <div className="grid gap-3 justify-items-start">
        <Wrong>{wrong}</Wrong>
        <Second onClick={() => void ask()}>Ask again</Second>
      </div>
    );
  return (
    <div className="grid grid-cols-[auto_minmax(0,1fr)] max-[560px]:grid-cols-1 gap-5">
      <div className="w-[252px] h-[252px] bg-white border border-rule-strong grid place-items-center">
        {offer && !over && (
          <img
            width="250"
            height="250"
            src={`data:image/svg+xml;base64,${btoa(offer.code)}`}
            alt="The code for the camera of the phone"
          />
        )}
      </div>
      <div className="grid gap-3 content-start justify-items-start">
        <p>
          <b>Point the camera of the phone at it.</b> It opens this job at {STOP_TITLE[stop]}, signed in as{' '}
          {signedIn()?.name}. Nothing is typed.
        </p>
        <p className="note" role="status">
          {over ? (
            'Its five minutes are over.'
          ) : offer ? (
            <>
              Valid once, until <Clock at={until} />.
            </>
          ) : (
            'Making the code'
          )}
        </p>
        <Second small onClick={() => void ask()}>
          A new one
        </Second>
        {offer?.fingerprint ? (
          <div className="border-t border-rule pt-3 grid gap-1">
            <p className="note">
              The phone does not know the certificate of this Mulch and says so once. It is the right one when
              it shows this fingerprint (SHA-256):
            </p>
            <p className="mono text-[13px] leading-[1.35] [overflow-wrap:anywhere]">{offer.fingerprint}</p>
          </div>
        ) : (
          <p className="note">
            The way between the two is not encrypted by Mulch: use it where nobody else is in the network.
          </p>
        )}
      </div>
    </div>
  );
}
