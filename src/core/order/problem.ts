import { demand } from '../refusal';
import type { OrderMove, OrderRequest } from './types';

/** A setup: indices of the tool in hand, the side that is up and the power; −1 = not known, or any. */
export interface Setup {
  tool: number;
  side: number;
  power: number;
}

/** A move with one of its ways chosen, in indices. */
export interface Variant extends Setup {
  minutes: number;
  after: number[];
}

export interface Problem {
  ids: string[];
  variants: Variant[][];
  groups: number[][][];
  goal: number[];
  done: boolean[];
  start: Setup;
  /** tools, sides and powers that are named, together */
  names: number;
  toolMinutes: number;
  powerMinutes: number;
  /** minutes of a flip from one side to another; from −1 any first side */
  flip(from: number, to: number): number;
  /** least minutes of any flip, for the bound */
  leastFlip: number;
  keep: { from: number; until: number; sides: Set<number> }[];
}

/** Whether the options of the request make a move exist. */
const exists = (m: OrderMove, options: Record<string, string>) =>
  Object.entries(m.when ?? {}).every(([k, v]) => options[k] === v);

class Names {
  private readonly at = new Map<string, number>();

  of(name: string | null | undefined): number {
    if (name === null || name === undefined) return -1;
    const known = this.at.get(name);
    if (known !== undefined) return known;
    this.at.set(name, this.at.size);
    return this.at.size - 1;
  }

  list = () => [...this.at.keys()];
}

/**
 * Checks an order request and turns its ids into indices.
 *
 * @param request minutes throughout
 * @returns the problem
 * @throws Refusal naming the move: unknown or double id, negative minutes, an empty goal
 * @example readProblem(request).ids.length
 */
export function readProblem(request: OrderRequest): Problem {
  const { options = {} } = request;
  const moves = request.moves.filter((m) => exists(m, options));
  const index = new Map<string, number>();
  request.moves.forEach((m, i) => {
    const at = `/moves/${i}`;
    demand(
      request.moves.findIndex((x) => x.id === m.id) === i || m.when !== undefined,
      `move “${m.id}” is there twice`,
      `${at}/id`,
    );
    demand(m.minutes >= 0, `minutes of “${m.id}” must not be under 0`, `${at}/minutes`);
    (m.ways ?? []).forEach((w, k) => {
      demand(w.minutes >= 0, `minutes of a way of “${m.id}” must not be under 0`, `${at}/ways/${k}/minutes`);
    });
  });
  moves.forEach((m, i) => {
    demand(!index.has(m.id), `move “${m.id}” is there twice`, `/moves/${request.moves.indexOf(m)}/id`);
    index.set(m.id, i);
  });
  const away = new Set(request.moves.map((m) => m.id).filter((id) => !index.has(id)));
  const find = (id: string, path: string): number => {
    const i = index.get(id);
    demand(
      i !== undefined,
      away.has(id) ? `move “${id}” is not there with these options` : `move “${id}” is not known`,
      path,
    );
    return i;
  };
  // What a variant of the unit does not have needs not be done first.
  const present = (ids: string[] | undefined, path: string) =>
    (ids ?? []).flatMap((id, k) => (away.has(id) ? [] : [find(id, `${path}/${k}`)]));
  demand(request.goal.length > 0, 'name what is to be reached', '/goal');
  demand(request.toolMinutes >= 0, 'toolMinutes must not be under 0', '/toolMinutes');
  demand((request.powerMinutes ?? 0) >= 0, 'powerMinutes must not be under 0', '/powerMinutes');

  const tools = new Names();
  const sides = new Names();
  const powers = new Names();
  const setup = (s: { tool?: string | null; sideUp?: string | null; power?: string | null }): Setup => ({
    tool: tools.of(s.tool),
    side: sides.of(s.sideUp),
    power: powers.of(s.power),
  });
  const variants = moves.map((m) => {
    const at = `/moves/${request.moves.indexOf(m)}`;
    const after = present(m.after, `${at}/after`);
    const first: Variant = { ...setup(m), minutes: m.minutes, after };
    const more = (m.ways ?? []).map(
      (w, k): Variant => ({
        ...setup({ ...w, power: m.power ?? null }),
        minutes: w.minutes,
        after: [...after, ...present(w.after, `${at}/ways/${k}/after`)],
      }),
    );
    return [first, ...more];
  });
  const done = moves.map(() => false);
  (request.done ?? []).forEach((id, k) => {
    if (!away.has(id)) done[find(id, `/done/${k}`)] = true;
  });
  const start = setup(request.start ?? {});
  const keep = (request.keep ?? []).map((k, i) => ({
    from: find(k.from, `/keep/${i}/from`),
    until: find(k.until, `/keep/${i}/until`),
    sides: new Set(k.sides.map((s) => sides.of(s))),
  }));
  const { flipMinutes } = request;
  const values = typeof flipMinutes === 'number' ? [flipMinutes] : Object.values(flipMinutes);
  for (const v of values) demand(v >= 0, 'flipMinutes must not be under 0', '/flipMinutes');
  demand(values.length > 0, 'flipMinutes names no flip', '/flipMinutes');
  const names = sides.list();
  const table = typeof flipMinutes === 'number' ? null : flipMinutes;
  const other = table ? (table.other ?? Math.max(...values)) : (flipMinutes as number);
  return {
    ids: moves.map((m) => m.id),
    variants,
    groups: moves.map((m) => {
      const at = `/moves/${request.moves.indexOf(m)}/afterAny`;
      return (m.afterAny ?? []).map((g, k) => present(g, `${at}/${k}`));
    }),
    goal: [...new Set(request.goal.map((id, k) => find(id, `/goal/${k}`)))],
    done,
    start,
    names: tools.list().length + names.length + powers.list().length,
    toolMinutes: request.toolMinutes,
    powerMinutes: request.powerMinutes ?? 0,
    flip: (from, to) =>
      table && from >= 0
        ? (table[`${names[from]} ${names[to]}`] ?? table[`${names[to]} ${names[from]}`] ?? other)
        : other,
    leastFlip: Math.min(other, ...values),
    keep,
  };
}
