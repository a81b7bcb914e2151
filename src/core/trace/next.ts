import { type Belief, marginals, scaled, total } from './belief';
import { exactActs } from './exact';
import type { AnswerTable } from './likelihood';
import { type Model, powerMinutes } from './model';
import { openMinutes, remainingLadders, repairMinutes, untriedLadders, walkHeads } from './repair';
import { Search, type Told, tells } from './search';
import type { NextAction, Power } from './types';

/** Checks looked at two deep: the most informative ones. */
const DEEP = 40;
/** Suspicion from which an intermittent element makes a repeat worth offering. Common practice, no source. */
const WORTH_A_REPEAT = 0.01;

/** Whether a check that was already made may be offered again. */
function offered(model: Model, c: number, p: Float64Array): boolean {
  if (model.request.options?.repeats !== 'intermittent only') return true;
  const check = model.request.checks[c];
  const made = (model.request.log ?? []).some((e) => 'check' in e && e.check === check?.id);
  if (!made) return true;
  return (check?.exercises ?? []).some((id) => {
    const i = model.indexOf.get(id) as number;
    const q = check?.provokes?.[id] ?? model.request.elements[i]?.q ?? 1;
    return q < 1 && (p[i] as number) >= WORTH_A_REPEAT;
  });
}

/**
 * Ranks checks and repairs from the present belief by expected minutes to a finished repair.
 *
 * A check costs its minutes, the opening and the power change it still needs, and then what the
 * best continuation costs after each answer: with lookahead 1 the repair sequence, with 2 the
 * better of repair and one more check (over the 40 most informative).
 *
 * @param model a checked model
 * @param belief weights that sum to 1
 * @returns actions, soonest mended first, and minutes when the repair is begun now
 * @example rank(model, condition(model).belief).next[0].id // what to do next
 */
export function rank(model: Model, belief: Belief): Ranking {
  const exact = model.request.options?.exact ? exactly(model, belief) : null;
  if (exact) return exact;
  const search = new Search(model, remainingLadders(model));
  const p = marginals(belief);
  const mass = total(belief);
  const now = search.moment(scaled(belief, mass), model.opened, model.request.power?.now);
  const lookahead = model.request.options?.lookahead ?? 1;

  const told = (c: number, room?: Uint32Array) => ({ c, ...search.told(now, c, room) });
  const tellsMore = (x: { c: number; bits: number }) => x.bits > 1e-12 && offered(model, x.c, p);
  const action = ({ c, ...told }: Told & { c: number }, deeper: number[] | null): NextAction => {
    const { p: chances, bits } = told;
    const check = model.request.checks[c];
    return {
      kind: 'check',
      id: check?.id ?? '',
      expectedMinutes: search.check(now, c, told, deeper),
      ...(check?.outcomes
        ? { pOutcomes: check.outcomes.map((o, k) => ({ id: o.id, p: chances[k] as number })) }
        : { pBad: chances[0] as number }),
      bits,
      openMinutes: openMinutes(model, model.opened, model.checkAccess[c] as number[]),
      ...changed(model, check?.power),
    };
  };
  const checks: NextAction[] = [];
  if (lookahead === 2) {
    const deep = model.tables
      .map((_, c) => told(c))
      .filter(tellsMore)
      .sort((x, y) => y.bits - x.bits || x.c - y.c)
      .slice(0, DEEP);
    const deeper = deep.map((x) => x.c);
    for (const x of deep) checks.push(action(x, deeper));
  } else {
    // One after the other: no check is dealt out again once it is reckoned.
    const room = now.ranked ? new Uint32Array(now.ranked.element.length) : undefined;
    for (let c = 0; c < model.tables.length; c++) {
      const x = told(c, room);
      if (tellsMore(x)) checks.push(action(x, null));
    }
  }
  const headFirst = walkHeads(now.bench, now.belief, now.order);
  const repairs = model.request.elements.flatMap((e, i): NextAction[] => {
    const step = now.bench.ladders[i]?.[0];
    if (!step || !((p[i] as number) > 0)) return [];
    return [
      {
        kind: 'repair',
        id: e.id,
        ...(step.id === null ? {} : { remedy: step.id }),
        expectedMinutes: headFirst(i),
        openMinutes: openMinutes(model, model.opened, model.elementAccess[i] as number[]),
        ...changed(model, e.power),
      },
    ];
  });
  const next = [...repairs, ...checks].sort((a, b) => a.expectedMinutes - b.expectedMinutes);
  return {
    next,
    repairNowMinutes: repairMinutes(now.bench, now.belief),
    enough: next[0]?.kind !== 'check',
    ...(model.request.options?.exact ? { method: `lookahead ${lookahead}` as const } : {}),
  };
}

/** Minutes of the power change that an act wants, where it wants one. */
function changed(model: Model, wanted: Power | undefined): { powerMinutes?: number } {
  const minutes = powerMinutes(model, model.request.power?.now, wanted);
  return minutes > 0 ? { powerMinutes: minutes } : {};
}

/** What {@link rank} answers. */
interface Ranking {
  next: NextAction[];
  repairNowMinutes: number;
  enough: boolean;
  method?: 'exact' | 'lookahead 1' | 'lookahead 2';
}

/** The ranking by every way on, each element by its best rung; null where there are too many. */
function exactly(model: Model, belief: Belief): Ranking | null {
  const ladders = untriedLadders(model);
  const mass = total(belief);
  const b = scaled(belief, mass);
  const found = exactActs(model, b, ladders);
  if (!found) return null;
  const met = new Set<string>();
  const next = found.acts.flatMap(({ kind, index, rung, minutes }): NextAction[] => {
    if (kind === 'check') {
      const check = model.request.checks[index];
      const { p: chances, bits } = tells(b, model.tables[index] as AnswerTable, null);
      return [
        {
          kind,
          id: check?.id ?? '',
          expectedMinutes: minutes,
          ...(check?.outcomes
            ? { pOutcomes: check.outcomes.map((o, k) => ({ id: o.id, p: chances[k] as number })) }
            : { pBad: chances[0] as number }),
          bits,
          openMinutes: openMinutes(model, model.opened, model.checkAccess[index] as number[]),
          ...changed(model, check?.power),
        },
      ];
    }
    const id = model.request.elements[index]?.id ?? '';
    // Acts come soonest mended first: the first rung met of an element is its best.
    if (met.has(id)) return [];
    met.add(id);
    const step = ladders[index]?.[rung ?? 0];
    return [
      {
        kind,
        id,
        ...(step?.id === null || step === undefined ? {} : { remedy: step.id }),
        expectedMinutes: minutes,
        openMinutes: openMinutes(model, model.opened, model.elementAccess[index] as number[]),
        ...changed(model, model.request.elements[index]?.power),
      },
    ];
  });
  return {
    next,
    repairNowMinutes: found.repairNowMinutes,
    enough: next[0]?.kind !== 'check',
    method: 'exact',
  };
}
