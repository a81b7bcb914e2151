import { demand } from '../refusal';
import { type AnswerTable, answerTable } from './likelihood';
import type { Power, TraceElement, TraceRequest } from './types';

/** A step of a ladder, in minutes of cost. */
export interface Step {
  id: string | null;
  minutes: number;
  fixes: number;
}

/** A request checked and turned into indices, so that nothing later can be unknown. */
export interface Model {
  request: TraceRequest;
  n: number;
  pairs: boolean;
  indexOf: Map<string, number>;
  checkOf: Map<string, number>;
  ladders: Step[][];
  /** for each element the access it needs, closed over what that access needs itself */
  elementAccess: number[][];
  checkAccess: number[][];
  accessMinutes: number[];
  opened: boolean[];
  tables: AnswerTable[];
}

const PAIR_LIMIT = 400;
const DEEP_PAIR_LIMIT = 60;

function index(list: { id: string }[], what: string, path: string): Map<string, number> {
  const map = new Map<string, number>();
  list.forEach((x, i) => {
    demand(!map.has(x.id), `${what} “${x.id}” is there twice`, `${path}/${i}/id`);
    map.set(x.id, i);
  });
  return map;
}

const inUnit = (x: number) => x >= 0 && x <= 1;

function ladderOf(e: TraceElement, i: number, rate: number | undefined): Step[] {
  const at = `/elements/${i}`;
  demand(e.weight > 0 && Number.isFinite(e.weight), `weight of “${e.id}” must be over 0`, `${at}/weight`);
  demand(e.q === undefined || (e.q > 0 && e.q <= 1), `q of “${e.id}” must be over 0, at most 1`, `${at}/q`);
  demand(
    e.repairMinutes === undefined || e.repairMinutes > 0,
    `repairMinutes of “${e.id}” must be over 0`,
    `${at}/repairMinutes`,
  );
  if (!e.remedies?.length) {
    demand(e.repairMinutes !== undefined, `“${e.id}” has neither repairMinutes nor remedies`, at);
    return [{ id: null, minutes: e.repairMinutes, fixes: 1 }];
  }
  index(e.remedies, 'remedy', `${at}/remedies`);
  return e.remedies.map((r, k) => {
    const here = `${at}/remedies/${k}`;
    demand(r.minutes > 0, `minutes of remedy “${r.id}” of “${e.id}” must be over 0`, `${here}/minutes`);
    demand(
      r.fixes > 0 && r.fixes <= 1,
      `fixes of remedy “${r.id}” of “${e.id}” must be over 0, at most 1`,
      `${here}/fixes`,
    );
    demand(
      r.cost === undefined || r.cost >= 0,
      `cost of remedy “${r.id}” must not be under 0`,
      `${here}/cost`,
    );
    return { id: r.id, minutes: r.minutes + (rate && r.cost ? r.cost / rate : 0), fixes: r.fixes };
  });
}

function accessClosures(request: TraceRequest) {
  const access = request.access ?? [];
  const at = index(access, 'access', '/access');
  const find = (id: string, path: string) => {
    const i = at.get(id);
    demand(i !== undefined, `access “${id}” is not known`, path);
    return i;
  };
  const needs = access.map((a, i) => {
    demand(a.minutes >= 0, `minutes of access “${a.id}” must not be under 0`, `/access/${i}/minutes`);
    return (a.needs ?? []).map((id, k) => find(id, `/access/${i}/needs/${k}`));
  });
  const closed: (number[] | 'visiting')[] = [];
  const close = (i: number): number[] => {
    const seen = closed[i];
    demand(seen !== 'visiting', `access “${access[i]?.id}” needs itself in a loop`, `/access/${i}/needs`);
    if (seen) return seen;
    closed[i] = 'visiting';
    const all = new Set([i]);
    for (const j of needs[i] ?? []) for (const k of close(j)) all.add(k);
    const list = [...all];
    closed[i] = list;
    return list;
  };
  for (let i = 0; i < access.length; i++) close(i);
  return {
    access,
    find,
    closure: (ids: string[] | undefined, path: string) => [
      ...new Set((ids ?? []).flatMap((id, k) => close(find(id, `${path}/${k}`)))),
    ],
  };
}

/**
 * Checks a trace request and turns its ids into indices.
 *
 * @param request as sent; units: minutes, chances 0 to 1, cost in minor units
 * @returns the model that all other functions of this topic work on
 * @throws Refusal naming the id and its path: unknown or double id, low not under high, tolerance,
 *   weight or minutes not over 0, a chance outside 0 to 1, a loop in access
 * @example buildModel({ elements: [{ id: 'W4', weight: 1, repairMinutes: 12 }], checks: [] }).n // 1
 */
export function buildModel(request: TraceRequest): Model {
  const { elements, checks, options = {} } = request;
  demand(elements.length > 0, 'there is no element to suspect', '/elements');
  const indexOf = index(elements, 'element', '/elements');
  const checkOf = index(checks, 'check', '/checks');
  const pairs = options.maxFaults === 2;
  demand(
    !pairs || elements.length <= PAIR_LIMIT,
    `maxFaults 2 takes at most ${PAIR_LIMIT} elements`,
    '/options/maxFaults',
  );
  demand(
    !(pairs && options.lookahead === 2) || elements.length <= DEEP_PAIR_LIMIT,
    `maxFaults 2 with lookahead 2 takes at most ${DEEP_PAIR_LIMIT} elements`,
    '/options/lookahead',
  );
  demand((options.pairFactor ?? 0) >= 0, 'pairFactor must not be under 0', '/options/pairFactor');
  demand((options.noFaultWeight ?? 0) >= 0, 'noFaultWeight must not be under 0', '/options/noFaultWeight');
  demand(
    options.ratePerMinute === undefined || options.ratePerMinute > 0,
    'ratePerMinute must be over 0',
    '/options/ratePerMinute',
  );
  const p = request.power;
  demand(!p || (p.onMinutes >= 0 && p.offMinutes >= 0), 'power minutes must not be under 0', '/power');

  const ladders = elements.map((e, i) => ladderOf(e, i, options.ratePerMinute));
  const { access, find, closure } = accessClosures(request);
  const opened = access.map(() => false);
  (request.opened ?? []).forEach((id, k) => {
    opened[find(id, `/opened/${k}`)] = true;
  });

  // Up to a million ids pass here, so the message is only built for the one that is wrong.
  const known = (ids: string[], path: string) => {
    const k = ids.findIndex((id) => !indexOf.has(id));
    if (k >= 0) demand(false, `element “${ids[k]}” is not known`, `${path}/${k}`);
  };
  const suspects = {
    ids: elements.map((e) => e.id),
    q: Float64Array.from(elements, (e) => e.q ?? 1),
    indexOf,
  };
  const n = elements.length;
  // One room for all checks: a thousand small ones cost more than what is written into them.
  const classes = new Uint16Array(n * checks.length);
  const tables = checks.map((c, i) => {
    const at = `/checks/${i}`;
    demand(c.minutes > 0, `minutes of check “${c.id}” must be over 0`, `${at}/minutes`);
    demand(inUnit(c.sensitivity ?? 0), `sensitivity of “${c.id}” must lie in 0 to 1`, `${at}/sensitivity`);
    demand(inUnit(c.falseAlarm ?? 0), `falseAlarm of “${c.id}” must lie in 0 to 1`, `${at}/falseAlarm`);
    for (const [id, q] of Object.entries(c.provokes ?? {})) {
      demand(indexOf.has(id), `element “${id}” is not known`, `${at}/provokes/${id}`);
      demand(q > 0 && q <= 1, `provokes of “${id}” must be over 0, at most 1`, `${at}/provokes/${id}`);
    }
    if (c.outcomes) {
      demand(c.outcomes.length >= 2, `“${c.id}” needs at least two answers`, `${at}/outcomes`);
      index(c.outcomes, 'answer', `${at}/outcomes`);
      c.outcomes.forEach((o, k) => {
        known(o.points, `${at}/outcomes/${k}/points`);
      });
    }
    return answerTable(c, suspects, classes.subarray(i * n, (i + 1) * n), at);
  });

  return {
    request,
    n,
    pairs,
    indexOf,
    checkOf,
    ladders,
    elementAccess: elements.map((e, i) => closure(e.needs, `/elements/${i}/needs`)),
    checkAccess: checks.map((c, i) => closure(c.needs, `/checks/${i}/needs`)),
    accessMinutes: access.map((a) => a.minutes),
    opened,
    tables,
  };
}

/**
 * Minutes to bring the power to what a check wants.
 *
 * @param model the model; without `power` in its request every change is free
 * @param now the present state
 * @param wanted what the check wants, undefined = either
 * @returns minutes
 * @example powerMinutes(modelWith({ now: 'off', onMinutes: 2, offMinutes: 1 }), 'off', 'on') // 2
 */
export function powerMinutes(model: Model, now: Power | undefined, wanted: Power | undefined): number {
  const p = model.request.power;
  if (!p || !wanted || wanted === now) return 0;
  return wanted === 'on' ? p.onMinutes : p.offMinutes;
}
