import type { TraceCheck } from '../../trace';
import type { CheckAnswer, Tap } from '../map';

export const CHECK_HOWS = [
  'symptom',
  'look',
  'listen',
  'measure',
  'setting',
  'flex',
  'reseat',
  'continuity',
  'exchange',
  'substitute',
  'own',
] as const;
export type CheckHow = (typeof CHECK_HOWS)[number];

/** A check as a technician reads it, with the part that the computation reads. */
export interface MapCheck {
  id: string;
  how: CheckHow;
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
