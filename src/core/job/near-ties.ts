/** Share of the best figure within which two steps are as good as each other. Common practice, no source. */
export const NEAR = 0.05;

/** What is known of a step where its figure does not decide. */
export interface Weighed {
  expectedMinutes: number;
  /** minutes for covers and the like before it */
  openMinutes: number;
  /** something live is near the hand */
  live: boolean;
  /** made under power */
  powered: boolean;
  /** minutes of the step, opening included */
  minutes: number;
  /** what it tells, bits; absent for a repair */
  bits?: number;
}

/** Under this a check tells nothing worth a tie, bits. Common practice, no source. */
const TELLS = 0.02;
/** Share of the most telling check with no larger opening under which a check is none of its equals. Common practice, no source. */
const TELLS_LITTLE = 0.25;

/** Whether a check tells enough to stand in its tie. */
function tells(s: Weighed, tie: readonly Weighed[]): boolean {
  if (s.bits === undefined) return true;
  // Beside a larger opening a look from outside may tell little.
  const best = Math.max(0, ...tie.map((o) => (o.openMinutes <= s.openMinutes ? (o.bits ?? 0) : 0)));
  return s.bits >= Math.max(TELLS, TELLS_LITTLE * best);
}

/**
 * What decides between near ties, in this order: what tells something at all, shut before open, nothing
 * live, the smaller opening, dead before powered, quick. Being quick alone is no reason to begin with what
 * tells little.
 */
const BETWEEN: ((s: Weighed, tie: readonly Weighed[]) => number)[] = [
  (s, tie) => (tells(s, tie) ? 0 : 1),
  (s) => (s.openMinutes > 0 ? 1 : 0),
  (s) => (s.live ? 1 : 0),
  (s) => s.openMinutes,
  (s) => (s.powered ? 1 : 0),
  (s) => s.minutes,
  (s) => s.expectedMinutes,
];

/**
 * Ranks steps by expected minutes, with near ties as ties: a look from outside never stands below an
 * opening by a fraction of a minute. A tie holds all steps within {@link NEAR} of its best one.
 *
 * @param steps steps with their figures, in any order
 * @returns the steps, each with its place from 1 and whether it shares that place
 * @example ranked([{ ...open, expectedMinutes: 20 }, { ...shut, expectedMinutes: 20.6 }])[0].openMinutes // 0
 */
export function ranked<S extends Weighed>(steps: S[]): (S & { place: number; tied: boolean })[] {
  const left = [...steps].sort((a, b) => a.expectedMinutes - b.expectedMinutes);
  const out: (S & { place: number; tied: boolean })[] = [];
  for (let from = 0; from < left.length; ) {
    const most = (left[from]?.expectedMinutes ?? 0) * (1 + NEAR);
    let to = from + 1;
    while (to < left.length && (left[to]?.expectedMinutes ?? 0) <= most) to++;
    const near = left.slice(from, to);
    const tie = [...near].sort((a, b) => {
      for (const by of BETWEEN) if (by(a, near) !== by(b, near)) return by(a, near) - by(b, near);
      return 0;
    });
    out.push(...tie.map((s) => ({ ...s, place: from + 1, tied: tie.length > 1 })));
    from = to;
  }
  return out;
}

/**
 * Who leads among suspects: all within {@link NEAR} of the most suspect one.
 *
 * @param suspects chances, the highest first
 * @returns the leaders; one where it stands alone
 * @example leaders([{ id: 'A1', p: 0.31 }, { id: 'A2', p: 0.3 }]).map((s) => s.id) // ['A1', 'A2']
 */
export const leaders = <S extends { p: number }>(suspects: S[]): S[] =>
  suspects.filter((s) => s.p >= (suspects[0]?.p ?? 0) * (1 - NEAR));
