import { useState } from 'react';
import { useJob } from '../job/use-job';
import { sendPhoto } from './send-photo';

/** Sends pictures one after the other and keeps each in the job: what is going on, and what went wrong. */
export function useTakePhoto() {
  const { record } = useJob();
  const [busy, setBusy] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async (chosen: File[], about: { caption: string; of?: string }): Promise<boolean> => {
    setWrong(null);
    for (const [i, one] of chosen.entries()) {
      setBusy(chosen.length > 1 ? `Keeping ${i + 1} of ${chosen.length}` : 'Keeping it');
      const sent = await sendPhoto(one);
      const refused = sent.ok
        ? record('photo.added', { ...sent.data, ...about })?.reason
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
