import { useState } from 'react';
import { author } from '../job/author';
import { looksOn, useJob } from '../job/use-job';
import { sendPhoto } from './send-photo';
import { letWait } from './waiting';

/** Sends pictures one after the other and keeps each in the job: what is going on, and what went wrong. */
export function useTakePhoto() {
  const { job, record } = useJob();
  const [busy, setBusy] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async (chosen: File[], about: { caption: string; of?: string }): Promise<boolean> => {
    const no = looksOn();
    setWrong(no?.reason ?? null);
    if (no) return false;
    for (const [i, one] of chosen.entries()) {
      setBusy(chosen.length > 1 ? `Keeping ${i + 1} of ${chosen.length}` : 'Keeping it');
      const sent = await sendPhoto(one);
      const refused = sent.ok
        ? record('photo.added', { ...sent.data, ...about })?.reason
        : sent.away
          ? // It waits like an entry does; where nothing can be kept, the reason is that of the way.
            await letWait({ job: job.id, by: author.get(), picture: one, ...about }).then(
              () => undefined,
              () => sent.failure.reason,
            )
          : sent.failure.reason;
      if (refused) {
        setBusy('');
        setWrong(`${one.name}: ${refused}`);
        return false;
      }
    }
    setBusy('');
    return true;
  };
  return { take, busy, wrong };
}
