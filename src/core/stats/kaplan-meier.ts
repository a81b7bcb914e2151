import { demand } from '../refusal';
import { sure } from './confidence';
import { normalQuantile } from './normal';

/** How long a repair was followed, and whether the fault came back at the end of that. */
export interface FollowUp {
  days: number;
  cameBack: boolean;
}
export interface KaplanMeierRequest {
  followUps: FollowUp[];
  confidence?: number;
}
/** A day on which faults came back. */
export interface KaplanMeierStep {
  days: number;
  /** followed up to that day */
  atRisk: number;
  cameBack: number;
  /** share that lasts beyond it */
  lasting: number;
  standardError: number;
  low: number | null;
  high: number | null;
}
export interface KaplanMeierAnswer {
  steps: KaplanMeierStep[];
}

/**
 * How long repairs last, where they were not all followed for the same time.
 *
 * Method: Kaplan and Meier, Nonparametric estimation from incomplete observations, JASA 53, 1958. Whoever
 * is lost sight of on the day of a comeback was still at risk. Standard error by Greenwood (1926), interval
 * on the scale of log minus log.
 *
 * @param request days from 0 up, and whether the fault came back; confidence, 0.95 when absent
 * @returns one step for each day with a comeback; no interval where nothing lasts
 * @throws Refusal when days are under 0
 * @example kaplanMeier({ followUps: [{ days: 5, cameBack: true }, { days: 9, cameBack: false }] }).steps[0].lasting // 0.5
 */
export function kaplanMeier({ followUps, confidence }: KaplanMeierRequest): KaplanMeierAnswer {
  const z = normalQuantile((1 + sure(confidence)) / 2);
  followUps.forEach(({ days }, i) => {
    demand(Number.isFinite(days) && days >= 0, `days are not under 0: ${days}`, `/followUps/${i}/days`);
  });
  const inOrder = [...followUps].sort((a, b) => a.days - b.days);
  const steps: KaplanMeierStep[] = [];
  let lasting = 1;
  let sum = 0;
  let i = 0;
  while (i < inOrder.length) {
    const { days } = inOrder[i] as FollowUp;
    const atRisk = inOrder.length - i;
    let cameBack = 0;
    for (; i < inOrder.length && inOrder[i]?.days === days; i++) if (inOrder[i]?.cameBack) cameBack++;
    if (cameBack === 0) continue;
    lasting *= (atRisk - cameBack) / atRisk;
    if (lasting === 0) {
      steps.push({ days, atRisk, cameBack, lasting, standardError: 0, low: null, high: null });
      continue;
    }
    sum += cameBack / (atRisk * (atRisk - cameBack));
    const spread = Math.exp((z * Math.sqrt(sum)) / -Math.log(lasting));
    steps.push({
      days,
      atRisk,
      cameBack,
      lasting,
      standardError: lasting * Math.sqrt(sum),
      low: lasting ** spread,
      high: lasting ** (1 / spread),
    });
  }
  return { steps };
}
