import { useMemo } from 'react';
import { symptomProof, tryOpen } from '../../core/job';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { GateSign } from '../../ui/GateSign';
import { useJob } from '../job/use-job';

const minutes = (m: number) => `${m < 10 ? Number(m.toFixed(1)) : Math.round(m)}\u00a0min`;

/** The gate that asks for a test while it can still be had for minutes. */
export function TryItOpen() {
  const { job, go } = useJob();
  const proof = symptomProof(job);
  const up = proof?.outcome === 'ok';
  const costs = useMemo(() => tryOpen(job), [job]);
  if (!job.fix) return null;
  return (
    <section className="gate border-t-0!" data-up={up} aria-label="Try it open">
      <GateSign up={up} />
      <div className="grid gap-2">
        <h3 className="sec">Try it open</h3>
        {up && proof ? (
          <p>
            <b className="text-moss">
              Gate up since <Clock at={proof.at} />
            </b>
            : it works{proof.open.length ? `, ${proof.open.join(', ')} off` : ', closed'}.
          </p>
        ) : (
          <p className="note">
            A test now takes about {minutes(costs.places[0]?.expectedMinutes ?? 0)}. Skipped, about{' '}
            {minutes(costs.skipMinutes)} are lost on average: {Math.round(costs.pFail * 100)}&nbsp;% that it
            has to be opened again.
          </p>
        )}
        {!up && (
          <div>
            <Second small onClick={() => go('prove')}>
              Test it now
            </Second>
          </div>
        )}
      </div>
    </section>
  );
}
