import { proxy } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { decisionsOf, type JobState } from '../../core/job';
import type { Story } from '../../core/practice';
import { beside } from '../../workers/beside';
import type { RegretWorker } from '../../workers/regret.worker';

const reckon = beside<RegretWorker>(
  () => new Worker(new URL('../../workers/regret.worker.ts', import.meta.url), { type: 'module' }),
);

/**
 * The story of a run so far, worked out beside the page.
 *
 * @param job a practice job
 * @returns the story once it is known, and until then the share that is done
 */
export function useStory(job: JobState): { story: Story | null; share: number } {
  const decisions = useMemo(() => decisionsOf(job), [job]);
  const key = useMemo(() => JSON.stringify(decisions.map((d) => d.entry)), [decisions]);
  const [known, setKnown] = useState<{ key: string; story: Story } | null>(null);
  const [share, setShare] = useState(0);
  // They are the same while their entries are, whatever else the job records.
  const latest = useRef(decisions);
  latest.current = decisions;
  useEffect(() => {
    let stale = false;
    setShare(0);
    void reckon()
      .storyOf(
        latest.current,
        proxy((s: number) => {
          if (!stale) setShare(s);
        }),
      )
      .then((story) => {
        if (!stale) setKnown({ key, story });
      });
    return () => {
      stale = true;
    };
  }, [key]);
  return { story: known?.key === key ? known.story : null, share };
}

/** What the usual ways would have scored on the unit of this run. */
export async function waysFor(job: JobState): Promise<{ name: string; score: number }[]> {
  const [first] = decisionsOf(job);
  return first ? reckon().handScores(first) : [];
}
