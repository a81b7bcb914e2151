import { demand } from '../refusal';

/** One move of the way back, and what undoing it again would take. */
export interface ClosingMove {
  id: string;
  minutes: number;
  /** minutes to undo it again; as long as doing it when absent */
  undoMinutes?: number;
  /** false where the unit cannot be tested in this state */
  testableAfter?: boolean;
  /** extra minutes to hold things open for a test here */
  holdOpenMinutes?: number;
}

export interface ProveRequest {
  closing: ClosingMove[];
  testMinutes: number;
  /** chance that the test fails, 0 to 1 */
  pFail: number;
}

export interface ProveAnswer {
  /** a test after each move, null = before the first, with the minutes it is expected to cost */
  places: { after: string | null; expectedMinutes: number }[];
  /** the place that costs least, the earlier on a tie */
  best: string | null;
  /** minutes expected to be lost when the test is skipped until all is closed */
  skipMinutes: number;
}

/**
 * Where on the way back a test costs least. A test after the k-th move costs its own minutes, what
 * it takes to hold things open there, and, should it fail, undoing and redoing the moves made so far.
 *
 * Method: expected cost, `test + hold + pFail · Σ_{j≤k} (undo_j + minutes_j)`; common practice, no source.
 *
 * @param request closing moves in their order, minutes; chance of failing, 0 to 1
 * @returns expected minutes per place, the best, and the cost of skipping
 * @throws Refusal for negative minutes, a chance outside 0 to 1 or a double id
 * @example bestTest({ closing: [{ id: 'lid', minutes: 4 }], testMinutes: 1, pFail: 0.25 }) // before the lid 1, after it 3, skipped 2
 */
export function bestTest({ closing, testMinutes, pFail }: ProveRequest): ProveAnswer {
  demand(testMinutes >= 0, 'testMinutes must not be under 0', '/testMinutes');
  demand(pFail >= 0 && pFail <= 1, 'pFail must lie in 0 to 1', '/pFail');
  const ids = new Set<string>();
  let again = 0;
  const places: ProveAnswer['places'] = [{ after: null, expectedMinutes: testMinutes }];
  closing.forEach((m, i) => {
    demand(!ids.has(m.id), `move “${m.id}” is there twice`, `/closing/${i}/id`);
    ids.add(m.id);
    demand(m.minutes >= 0, `minutes of “${m.id}” must not be under 0`, `/closing/${i}/minutes`);
    demand(
      (m.undoMinutes ?? 0) >= 0,
      `undoMinutes of “${m.id}” must not be under 0`,
      `/closing/${i}/undoMinutes`,
    );
    demand(
      (m.holdOpenMinutes ?? 0) >= 0,
      `holdOpenMinutes of “${m.id}” must not be under 0`,
      `/closing/${i}/holdOpenMinutes`,
    );
    again += m.minutes + (m.undoMinutes ?? m.minutes);
    if (m.testableAfter === false) return;
    places.push({ after: m.id, expectedMinutes: testMinutes + (m.holdOpenMinutes ?? 0) + pFail * again });
  });
  const best = places.reduce((a, b) => (b.expectedMinutes < a.expectedMinutes ? b : a));
  return { places, best: best.after, skipMinutes: pFail * again };
}
