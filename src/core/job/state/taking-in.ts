import type { ReferRequest } from '../../refer';
import type { Pattern } from '../../trace';

export { PATTERN_Q, PATTERNS, type Pattern } from '../../trace';

/** What a unit comes for. */
export const AIMS = ['fault', 'upgrade', 'retrofit', 'service', 'assembly'] as const;
export type Aim = (typeof AIMS)[number];

/** The aims in words: “taken in for an upgrade”. */
export const AIM_WORDS: Record<Aim, string> = {
  fault: 'a fault',
  upgrade: 'an upgrade',
  retrofit: 'a retrofit',
  service: 'a service',
  assembly: 'assembly',
};

export interface Intake {
  /** a fault when absent */
  aim?: Aim;
  /** the function that fails, by its id on the map */
  function: string;
  /** further functions that fail with it */
  alsoFails?: string[];
  /** in the owner's words */
  symptom: string;
  pattern: Pattern;
  since?: string;
  variant?: string;
  /** message, code or lamp of the unit itself */
  unitSays?: string;
  /** planned at once: whoever took it in knows what is wrong with it */
  causeKnown?: boolean;
  /** what the owner would lose: data, settings, seals */
  keep: string[];
  /** whether it was to be repaired or referred, with the figures */
  weighed?: Weighed;
}

/** The figures behind repair or refer, and what was chosen. */
export interface Weighed extends ReferRequest {
  advice: 'repair' | 'refer';
  choice: 'repair' | 'refer';
  /** why it went against the advice */
  reason?: string;
}

/** Which unit it is, as far as that was said. */
export interface Identity {
  /** serial or asset mark as read */
  mark?: string;
  owner?: string;
  /** where the owner is reached */
  reach?: string;
  /** marks that are nearly the same and are other units */
  apart: string[];
}

export interface TakingIn {
  intake: Intake | null;
  identity: Identity | null;
}

export const startTakingIn = (): TakingIn => ({ intake: null, identity: null });

/** Whether a unit comes for something else than a fault: nothing is traced then. */
export const isAimed = ({ intake }: TakingIn): boolean => intake?.aim !== undefined && intake.aim !== 'fault';
