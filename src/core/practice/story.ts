import type { Decided } from '../job';
import { Refusal } from '../refusal';
import { type Act, byHand, type Method, regret, score, type Valued } from '../regret';
import { type NextAction, trace } from '../trace';

/** One decision of a run, looked at afterwards. */
export interface StoryLine {
  entry: string;
  own: Valued;
  best: Valued;
  /** minutes lost, at least 0 */
  regret: number;
  method: Method;
  /** what a check could tell, in bits; nothing for a remedy */
  bits?: number;
  /** minutes of opening that it charged */
  openMinutes: number;
  /** suspicion when it was made */
  belief: { id: string; p: number }[];
}

/** A run looked at afterwards. */
export interface Story {
  lines: StoryLine[];
  /** minutes expected of the best way from the start; null where nothing was decided */
  optimum: number | null;
  /** over 0 to 1; null where nothing was decided, or two faults were hidden */
  score: number | null;
  /** the costliest decision, in general words */
  remember: string;
}

/** Minutes under which nothing was lost. */
const NOTHING = 0.05;

const isSame = (a: Act, b: Act): boolean => a.kind === b.kind && a.id === b.id && a.remedy === b.remedy;

/** What may be said of a costly decision, the first that is true of it. Common practice, no source. */
const LESSONS: { holds(l: StoryLine, d: Decided, best: NextAction | undefined): boolean; says: string }[] = [
  {
    holds: (l, d) =>
      l.best.kind === 'check' && d.request.log?.some((e) => 'check' in e && e.check === l.best.id) === true,
    says: 'A good answer from a fault that comes and goes does not clear it: ask once more before you turn away.',
  },
  {
    holds: (l, _d, best) =>
      l.openMinutes > 0 && l.best.kind === 'check' && (best?.openMinutes ?? 0) < l.openMinutes,
    says: 'A dear opening before a cheap look: what can be seen from outside is looked at first.',
  },
  {
    holds: (l) => l.own.kind === 'repair' && l.best.kind === 'check',
    says: 'Mended before it was known: a check would have told more for less.',
  },
  {
    holds: (l) => l.own.kind === 'check' && l.best.kind === 'repair',
    says: 'Looked on when it was enough: doing the likeliest remedy was cheaper than knowing more.',
  },
  {
    holds: (l) => l.own.kind === 'repair' && l.own.id === l.best.id,
    says: 'The wrong rung: weigh what a gentle remedy costs against how often it lasts.',
  },
  {
    holds: (l) => l.own.kind === 'repair',
    says: 'A remedy of its minutes is worth its chance: the likelier and cheaper one goes first.',
  },
  {
    holds: (l) => (l.bits ?? 0) < 0.1,
    says: 'A check that could tell next to nothing: ask of each what its two answers would change.',
  },
];
const OTHERWISE =
  'A check that split badly: the best one leaves about as much suspicion on either side, for its minutes.';

/**
 * A run decision by decision: what was chosen, what it could tell, the best there was, the minutes lost.
 *
 * @param decided decisions of the run, see `decisionsOf`
 * @param tell told now and then which share of the work is done, 0 to 1
 * @returns the story, its score, and the one thing worth remembering
 * @example storyOf(decisionsOf(job)).score // 0.93
 */
export function storyOf(decided: Decided[], tell: (share: number) => void = () => {}): Story {
  const seen: { line: StoryLine; best: NextAction | undefined; decided: Decided }[] = [];
  let optimum: number | null = null;
  decided.forEach((d, k) => {
    const { request, chosen } = d;
    const {
      q,
      best,
      regret: lost,
      method,
    } = regret({ ...request, chosen }, (share) => tell((k + share) / decided.length));
    optimum ??= q[0]?.minutes ?? null;
    const next = trace({
      ...request,
      options: {
        ...request.options,
        exact: false,
        lookahead: 1,
        repeats: 'allowed',
        top: request.elements.length + request.checks.length,
      },
    });
    const id = 'check' in chosen ? chosen.check : chosen.repair;
    const kind = 'check' in chosen ? 'check' : 'repair';
    const own = q.find(
      (v) => v.kind === kind && v.id === id && ('check' in chosen || v.remedy === chosen.remedy),
    ) as Valued;
    const told = next.next.find((n) => n.kind === kind && n.id === id);
    seen.push({
      line: {
        entry: d.entry,
        own,
        best: q.find((v) => isSame(v, best)) as Valued,
        regret: lost,
        method,
        ...(kind === 'check' ? { bits: told?.bits ?? 0 } : {}),
        openMinutes: told?.openMinutes ?? 0,
        belief: next.belief,
      },
      best: next.next.find((n) => n.kind === best.kind && n.id === best.id),
      decided: d,
    });
    tell((k + 1) / decided.length);
  });
  const lines = seen.map((s) => s.line);
  const two = decided[0]?.request.options?.maxFaults === 2;
  const costliest = seen.reduce<(typeof seen)[number] | undefined>(
    (a, b) => (a && a.line.regret >= b.line.regret ? a : b),
    undefined,
  );
  const remember =
    !costliest || costliest.line.regret < NOTHING
      ? 'Nothing was lost: at no decision was there anything better.'
      : (LESSONS.find((l) => l.holds(costliest.line, costliest.decided, costliest.best))?.says ?? OTHERWISE);
  return {
    lines,
    optimum,
    score:
      optimum === null || two
        ? null
        : score(
            optimum,
            lines.map((l) => l.regret),
          ),
    remember,
  };
}

/**
 * What the usual ways by hand would have scored on the unit of a run, among the elements that its symptom
 * leaves suspected.
 *
 * @param first the first decision of a run
 * @returns name and score of each way, 0 to 1; nothing where the unit is too large to compare them
 * @example handScores(decisionsOf(job)[0]).find((w) => w.name === 'halving').score // 0.91
 */
export function handScores(first: Decided): { name: string; score: number }[] {
  const { elements, checks, log = [], access, power, options } = first.request;
  const failing = log.flatMap((e) =>
    'outcome' in e && e.outcome === 'bad' ? [checks.find((c) => c.id === e.check)?.exercises ?? []] : [],
  );
  const kept = new Set(elements.map((e) => e.id).filter((id) => failing.every((f) => f.includes(id))));
  const only = (ids: string[] = []) => ids.filter((id) => kept.has(id));
  try {
    return byHand({
      elements: elements.filter((e) => kept.has(e.id)),
      checks: checks.flatMap(({ exercises, provokes, outcomes, ...c }) => {
        const reach = only(exercises);
        const points = outcomes?.map((o) => ({ ...o, points: only(o.points) }));
        if (reach.length === 0 && !points?.some((o) => o.points.length)) return [];
        return [
          {
            ...c,
            ...(exercises ? { exercises: reach } : {}),
            ...(points ? { outcomes: points } : {}),
            ...(provokes
              ? { provokes: Object.fromEntries(Object.entries(provokes).filter(([id]) => kept.has(id))) }
              : {}),
          },
        ];
      }),
      ...(access ? { access } : {}),
      ...(power ? { power } : {}),
      ...(options?.ratePerMinute ? { options: { ratePerMinute: options.ratePerMinute } } : {}),
    }).ways.map(({ name, score: s }) => ({ name, score: s }));
  } catch (error) {
    if (error instanceof Refusal) return [];
    throw error;
  }
}
