import { useState } from 'react';
import { type TickLine, ticksOf } from '../../core/job';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { useTakePhoto } from '../photos/use-take-photo';
import { useJob } from './use-job';

/** What is not to be forgotten at this stop: what Mulch asks at its time, and ticks of one's own. */
export function Ticks() {
  const { job, stop } = useJob();
  const left = ticksOf(job, stop).filter((t) => !t.done);
  if (left.length === 0 || job.handedOver) return null;
  return (
    <section aria-label="Not to be forgotten" className="no-print px-4 py-1 border-b border-rule bg-inset">
      <TickList ticks={left} />
    </section>
  );
}

/** Ticks, each made with one tap; a picture answers those that ask for one. */
export function TickList({ ticks }: { ticks: TickLine[] }) {
  const { record } = useJob();
  const { take, busy, wrong } = useTakePhoto();
  const [refused, setRefused] = useState<string | null>(null);
  if (ticks.length === 0) return null;
  return (
    <>
      <ul className="grid">
        {ticks.map((t) => (
          <li key={t.id} className="flex flex-wrap gap-x-4 items-center min-h-[44px]">
            <label className="flex gap-3 items-center min-h-[44px] flex-1 min-w-[220px] cursor-pointer">
              <input
                type="checkbox"
                className="w-6 h-6 flex-none accent-current"
                checked={t.done}
                disabled={t.done}
                onChange={() => setRefused(record('tick.done', { tick: t.id })?.reason ?? null)}
              />
              {t.text}
            </label>
            {t.picture && !t.done && (
              <FileButton
                small
                disabled={busy !== ''}
                label={`Picture: ${t.text}`}
                accept="image/*"
                onFiles={(chosen) => void take(chosen, { caption: '' })}
              >
                {busy || 'Take it'}
              </FileButton>
            )}
          </li>
        ))}
      </ul>
      {(wrong ?? refused) && <Wrong>{wrong ?? refused}</Wrong>}
    </>
  );
}
