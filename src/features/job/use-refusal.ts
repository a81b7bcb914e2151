import { useCallback, useState } from 'react';
import type { JobState } from '../../core/job';
import { useJob } from './use-job';

/** Why an entry was refused, for as long as the job is the same: what it asked for may be done by now. */
export function useRefusal(): [refusal: string | null, refuse: (why: string | null) => void] {
  const { job } = useJob();
  const [said, setSaid] = useState<{ why: string; of: JobState } | null>(null);
  const refuse = useCallback((why: string | null) => setSaid(why === null ? null : { why, of: job }), [job]);
  return [said?.of === job ? said.why : null, refuse];
}
