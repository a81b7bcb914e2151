import { bestTest, type ProveAnswer } from '../prove';
import type { JobState } from './state';
import { wayBackOf } from './way-back-of';

/** Minutes of one step of the way back, per piece. Common practice, no source. */
const MINUTES = { screw: 0.4, plug: 0.5, other: 1 };
/** Minutes of a test that is made while it can still be had open. Common practice, no source. */
const TEST_MINUTES = 1.5;
/** Chance that a connector handled on the way gives a fault of its own. Common practice, no source. */
const PER_CONNECTOR = 0.02;

/** Chance of a remedy that was planned without tracing. Common practice, no source. */
const UNTRACED = 0.7;
/** How sure it is that the cause lies where whoever took it in knows it to lie. Common practice, no source. */
const KNOWN = 0.95;

/** The chance that what is planned mends the unit: as reckoned, or as known without tracing. */
function mending(state: JobState): number {
  const { plan, intake } = state;
  if (plan?.chance !== undefined) return plan.chance;
  const remedies = state.map.elements.find((e) => e.id === plan?.element)?.remedies;
  const fixes = remedies?.find((r) => r.id === plan?.remedy)?.fixes;
  return intake?.causeKnown && fixes !== undefined ? KNOWN * fixes : UNTRACED;
}

export interface TryOpen extends ProveAnswer {
  pFail: number;
}

/**
 * What a test costs now, while the unit is open, and what skipping it is expected to cost: the chance
 * that the remedy did not mend it, and that a plug handled on the way gives trouble, times closing
 * and opening again.
 *
 * @param state a job whose remedy is done
 * @returns places with minutes, the cost of skipping, and the chance of failing
 * @example tryOpen(state).skipMinutes // 3.4
 */
export function tryOpen(state: JobState): TryOpen {
  const plugs = state.ledger.items.filter((i) => i.kind === 'plug').length;
  const pFail = 1 - mending(state) * (1 - PER_CONNECTOR) ** plugs;
  const closing = wayBackOf(state)
    .filter((s) => s.kind === 'return')
    .map((s, i) => {
      const each =
        s.item?.kind === 'fastener' ? MINUTES.screw : s.item?.kind === 'plug' ? MINUTES.plug : MINUTES.other;
      return { id: `${i} ${s.text}`, minutes: each * s.left };
    });
  return { ...bestTest({ closing, testMinutes: TEST_MINUTES, pFail }), pFail };
}
