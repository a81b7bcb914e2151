import { useEffect, useState } from 'react';
import { send } from '../units/send';

/** What an address says behind its #, told once: it is taken out of the address at once. */
function token(): string {
  const said = window.location.hash.slice(1);
  window.history.replaceState(null, '', window.location.pathname);
  return said;
}

/** A device comes to a job by a link: it is signed in and goes there, or reads why not. */
export function Arrive() {
  const [wrong, setWrong] = useState('');
  useEffect(() => {
    const said = token();
    if (!said) {
      setWrong('this address comes with a code: ask for one at the job, Beside this');
      return;
    }
    void send<{ to: string }>('/api/beside', { token: said }).then((sent) => {
      if (sent.ok) window.location.replace(sent.data.to);
      else setWrong(sent.failure.reason);
    });
  }, []);
  return (
    <main className="empty min-h-dvh content-center bg-paper">
      {wrong ? (
        <>
          <h1 className="text-[28px]">This device was not let in</h1>
          <p role="alert">{wrong.charAt(0).toUpperCase() + wrong.slice(1)}.</p>
          <a className="act" href="/">
            Bench
          </a>
        </>
      ) : (
        <h1 className="text-[28px]" role="status">
          Coming to the job
        </h1>
      )}
    </main>
  );
}
