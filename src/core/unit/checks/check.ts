import type { TraceCheck } from '../../trace';
import type { CheckAnswer, Tap, UnitMap } from '../map';

/** A check as a technician reads it, with the part that the computation reads. */
export interface MapCheckOf<H extends string> {
  id: string;
  how: H;
  /** short: "Measure at TP5" */
  title: string;
  /** what that point or part is: "left drive in" */
  about: string;
  /** what each answer would say */
  ok: string;
  bad: string;
  /** answers of a check that has more than two */
  answers?: CheckAnswer[];
  /** why it tells something, one sentence */
  why: string;
  tap?: Tap;
  /** what to do first, or what to beware of */
  note?: string;
  /** what it changes on the unit, kept in the tray until it is put back */
  leaves?: string;
  trace: TraceCheck;
}

/**
 * One way in which checks follow from a map, whole: what its checks are called in a list, whether they
 * are made again after the repair, and the checks themselves.
 */
export interface CheckKind<H extends string> {
  /** each `how` of its checks, with the heading of its group */
  hows: Record<H, string>;
  /** made again after the repair: false where the check itself changes or mends the unit for a while */
  repeated: boolean;
  derive(map: UnitMap): MapCheckOf<H>[];
}

/** Gives a way the names of its checks. */
export const checkKind = <H extends string>(k: CheckKind<H>): CheckKind<H> => k;

const NAMED = 8;

/** "A1, W4 or A2"; a long list is cut where nobody reads on. */
export function anyOf(ids: string[]): string {
  if (ids.length > NAMED) return `${ids.slice(0, NAMED - 2).join(', ')} or ${ids.length - NAMED + 2} more`;
  return ids.length > 1 ? `${ids.slice(0, -1).join(', ')} or ${ids.at(-1)}` : (ids[0] ?? '');
}

/** The `needs` of a check, left out where there are none. */
export const reach = (...needs: (string[] | undefined)[]): { needs?: string[] } => {
  const all = [...new Set(needs.flatMap((n) => n ?? []))];
  return all.length ? { needs: all } : {};
};
