import { demand } from '../refusal';

export interface ContinuityRequest {
  /** contacts at the two ends, in the order they are probed */
  a: string[];
  b: string[];
  /** what joins: contact of a to contact of b, and contacts of one end among themselves */
  joined: [string, string][];
  /** how it should be wired; straight through by place when absent */
  expected?: [string, string][];
}

export interface ContinuityAnswer {
  /** wires that should join and do not */
  opens: [string, string][];
  /** contacts of one end, or two wires, that join and should not */
  shorts: [string, string][];
  /** pairs that changed places: each goes where the other should */
  crossed: [string, string][];
  /** the cable as it is, contact of a to contacts of b */
  map: { from: string; to: string[] }[];
  verdict: 'as it should be' | 'faulty';
}

const pair = (x: string, y: string) => `${x}\u0000${y}`;

/**
 * What a continuity matrix says of a cable: opens, shorts and crossed pairs by name, and the pin map
 * from end to end.
 *
 * @param r contacts of both ends with marks of their own, what joins, how it should be
 * @returns faults by name and the map
 * @throws Refusal for a mark that is there twice, or a joint of a contact that is not known
 * @example continuity({ a: ['A1', 'A2'], b: ['B1', 'B2'], joined: [['A1', 'B2'], ['A2', 'B1']] }).crossed // [['A1', 'A2']]
 */
export function continuity(r: ContinuityRequest): ContinuityAnswer {
  const all = new Map<string, 'a' | 'b'>();
  for (const [end, list] of [
    ['a', r.a],
    ['b', r.b],
  ] as const)
    list.forEach((c, i) => {
      demand(!all.has(c), `contact ${c} is there twice`, `/${end}/${i}`);
      all.set(c, end);
    });
  const joins = new Set<string>();
  r.joined.forEach(([x, y], i) => {
    for (const c of [x, y]) demand(all.has(c), `contact ${c} is not known`, `/joined/${i}`);
    demand(x !== y, `${x} cannot join itself`, `/joined/${i}`);
    joins.add(pair(x, y));
    joins.add(pair(y, x));
  });
  const has = (x: string, y: string) => joins.has(pair(x, y));
  const expected =
    r.expected ?? r.a.slice(0, r.b.length).map((x, i) => [x, r.b[i] as string] as [string, string]);
  const wanted = new Set<string>();
  expected.forEach(([x, y], i) => {
    for (const c of [x, y]) demand(all.has(c), `contact ${c} is not known`, `/expected/${i}`);
    wanted.add(pair(x, y));
    wanted.add(pair(y, x));
  });
  const crossed: [string, string][] = [];
  const told = new Set<string>();
  expected.forEach(([x, y], i) => {
    for (const [u, v] of expected.slice(i + 1))
      if (!has(x, y) && !has(u, v) && has(x, v) && has(u, y)) {
        crossed.push([x, u]);
        for (const [p, q] of [
          [x, y],
          [u, v],
          [x, v],
          [u, y],
        ] as const) {
          told.add(pair(p, q));
          told.add(pair(q, p));
        }
      }
  });
  const opens = expected.filter(([x, y]) => !has(x, y) && !told.has(pair(x, y)));
  const shorts: [string, string][] = [];
  const seen = new Set<string>();
  for (const [x, y] of r.joined) {
    if (wanted.has(pair(x, y)) || told.has(pair(x, y)) || seen.has(pair(y, x)) || seen.has(pair(x, y)))
      continue;
    seen.add(pair(x, y));
    shorts.push([x, y]);
  }
  return {
    opens,
    shorts,
    crossed,
    map: r.a.map((from) => ({ from, to: r.b.filter((to) => has(from, to)) })),
    verdict: opens.length + shorts.length + crossed.length === 0 ? 'as it should be' : 'faulty',
  };
}
