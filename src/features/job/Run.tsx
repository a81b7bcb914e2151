import { useEffect, useRef } from 'react';
import { runOf, STOPS } from '../../core/job';
import { jobPath } from '../../schemas/job-path';
import { StopShape } from '../../ui/StopShape';
import { STOP_TITLE } from './stop-title';
import { useJob } from './use-job';

const plain = (e: React.MouseEvent) => !(e.metaKey || e.ctrlKey || e.shiftKey || e.button !== 0);

/** The nine stops on the left: where this job stands, and the way to any of them. */
export function Run() {
  const { job, stop, go } = useJob();
  const run = useRef<HTMLOListElement>(null);
  // Where the run is wider than the view, the stop in hand is in sight.
  useEffect(() => {
    const here = run.current?.children[STOPS.indexOf(stop)];
    if (here instanceof HTMLElement && run.current)
      run.current.scrollLeft = here.offsetLeft + here.offsetWidth / 2 - run.current.clientWidth / 2;
  }, [stop]);
  return (
    <ol ref={run} className="run weave" aria-label="The run">
      {runOf(job, stop).map((r, i) => (
        <li key={r.stop} data-status={r.status} aria-current={r.stop === stop ? 'step' : undefined}>
          <a
            href={jobPath(job.id, r.stop)}
            aria-keyshortcuts={String(i + 1)}
            onClick={(e) => {
              if (!plain(e)) return;
              e.preventDefault();
              go(r.stop);
            }}
          >
            <StopShape status={r.status} />
            <span className="words">
              <b>{STOP_TITLE[r.stop]}</b>
              <small>
                {r.status}
                {r.note && (r.status === 'held' ? ` ${r.note}` : `, ${r.note}`)}
              </small>
            </span>
          </a>
        </li>
      ))}
    </ol>
  );
}
