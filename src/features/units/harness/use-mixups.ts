import { useEffect, useMemo, useState } from 'react';
import { type MixupsAnswer, type MixupsRequest, mixups } from '../../../core/mixups';
import { Refusal } from '../../../core/refusal';
import { beside } from '../../../workers/beside';
import type { MixupsWorker } from '../../../workers/mixups.worker';

const reckon = beside<MixupsWorker>(
  () => new Worker(new URL('../../../workers/mixups.worker.ts', import.meta.url), { type: 'module' }),
);

/** Plugs up to which the page works them out itself. */
const MOST_AT_ONCE = 40;

export interface MixupsFound {
  answer: MixupsAnswer | null;
  wrong: string | null;
  /** they are being worked out beside the page */
  reckoning: boolean;
}

/** What could be plugged in wrongly: at once for a few plugs, beside the page for many. */
export function useMixups(request: MixupsRequest): MixupsFound {
  const few = request.plugs.length <= MOST_AT_ONCE;
  const now = useMemo<MixupsFound | null>(() => {
    if (!few) return null;
    try {
      return { answer: mixups(request), wrong: null, reckoning: false };
    } catch (error) {
      if (error instanceof Refusal) return { answer: null, wrong: error.message, reckoning: false };
      throw error;
    }
  }, [request, few]);
  const [later, setLater] = useState<{ for: MixupsRequest; found: MixupsFound } | null>(null);
  useEffect(() => {
    if (few) return;
    let stale = false;
    void reckon()
      .mixups(request)
      .then(
        (answer) => ({ answer, wrong: null, reckoning: false }),
        (error: Error) => ({ answer: null, wrong: error.message, reckoning: false }),
      )
      .then((found) => {
        if (!stale) setLater({ for: request, found });
      });
    return () => {
      stale = true;
    };
  }, [request, few]);
  if (now) return now;
  return later?.for === request ? later.found : { answer: null, wrong: null, reckoning: true };
}
