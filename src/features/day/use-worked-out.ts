import { useEffect, useState } from 'react';
import type { DayHouse, DayOffer, DayPlan, WorkedOut } from '../../core/day-plan';
import { beside } from '../../workers/beside';
import type { DayWorker } from '../../workers/day.worker';

const reckon = beside<DayWorker>(
  () => new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module' }),
);

/** Typing goes on for so long before a day is worked out anew. */
const REST_MS = 150;

export interface Reckoned {
  /** what came last; it stays while the next is worked out */
  out: WorkedOut | null;
  busy: boolean;
  /** what cannot be, and the field of the plan */
  wrong: { reason: string; path: string } | null;
}

/** Days, worked out beside the page whenever something in them changes: one after the other. */
export function useWorkedOut(plans: DayPlan[], offers: DayOffer[], house: DayHouse): Reckoned[] {
  const [state, setState] = useState<Reckoned[]>([]);
  const [busy, setBusy] = useState(true);
  useEffect(() => {
    let stale = false;
    setBusy(true);
    const timer = setTimeout(async () => {
      const all = await Promise.all(
        plans.map(async (plan): Promise<Reckoned> => {
          const said = await reckon().workOut(plan, offers, house);
          return 'out' in said && said.out
            ? { out: said.out, busy: false, wrong: null }
            : { out: null, busy: false, wrong: said.refused ?? null };
        }),
      );
      if (stale) return;
      setState(all);
      setBusy(false);
    }, REST_MS);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [plans, offers, house]);
  return plans.map((_, i) => ({ ...(state[i] ?? { out: null, wrong: null }), busy }));
}
