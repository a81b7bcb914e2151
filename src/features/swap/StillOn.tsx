import { useState } from 'react';
import { plugsToMove } from '../../core/job';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';

/** Plugs that the old part still carries: each comes off, or stays on it on purpose. */
export function StillOn({
  along,
  onAlong,
  wrong,
}: {
  along: string[];
  onAlong(list: string[]): void;
  wrong: string | undefined;
}) {
  const { job, record } = useJob();
  const [refused, setRefused] = useState<string | null>(null);
  const left = plugsToMove(job);
  if (job.swap.mode === 'one across' || left.length === 0) return wrong ? <Wrong>{wrong}</Wrong> : null;
  const off = (plug: string) =>
    setRefused(
      record('move.recorded', {
        verb: 'unplug',
        text: `unplug ${plug}`,
        item: { kind: 'plug', name: plug, count: 1, place: { kind: 'left in the part' } },
      })?.reason ?? null,
    );
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sec">Still on the old one</legend>
      <ul className="rows">
        {left.map((plug) => {
          const stays = along.includes(plug);
          return (
            <li key={plug} className="flex flex-wrap gap-2 items-center">
              <b className="flex-1 min-w-[90px]">{plug}</b>
              {stays ? (
                <>
                  <span className="note">stays on it</span>
                  <Second small onClick={() => onAlong(along.filter((p) => p !== plug))}>
                    It does not
                  </Second>
                </>
              ) : (
                <>
                  <Second small aria-label={`${plug} is off`} onClick={() => off(plug)}>
                    It is off
                  </Second>
                  <Second
                    small
                    aria-label={`${plug} stays on the old one`}
                    onClick={() => onAlong([...along, plug])}
                  >
                    It stays on it
                  </Second>
                </>
              )}
            </li>
          );
        })}
      </ul>
      {(refused ?? wrong) && <Wrong>{refused ?? wrong}</Wrong>}
    </fieldset>
  );
}
