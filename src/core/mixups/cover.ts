/** Graph of plugs that can be mistaken for one another, by index. */
export interface Confusable {
  /** how much each costs to label: the same for all, a little less for the more dangerous */
  cost: number[];
  edges: [number, number][];
}

const MOST_NODES = 300_000;

/** Connected parts of the graph, isolated ones left out. */
function parts(n: number, neighbours: Set<number>[]): number[][] {
  const seen = new Array<boolean>(n).fill(false);
  const out: number[][] = [];
  for (let s = 0; s < n; s++) {
    if (seen[s] || neighbours[s]?.size === 0) continue;
    const part: number[] = [];
    const wait = [s];
    seen[s] = true;
    for (let v = wait.pop(); v !== undefined; v = wait.pop()) {
      part.push(v);
      for (const u of neighbours[v] as Set<number>)
        if (!seen[u]) {
          seen[u] = true;
          wait.push(u);
        }
    }
    out.push(part);
  }
  return out;
}

/**
 * A cover of least cost: for every edge one end at least. Branch and bound on each connected part: a
 * vertex is taken, or all its neighbours are; the bound sums, over a greedy partition into cliques,
 * everything but the dearest of each. Exact unless it runs out of nodes.
 *
 * @param g costs over 0, edges between different vertices
 * @returns vertices of the cover, rising, and whether it is known to be the cheapest
 * @example leastCover({ cost: [1, 1, 1], edges: [[0, 1], [1, 2]] }).cover // [1]
 */
export function leastCover(g: Confusable): { cover: number[]; exact: boolean } {
  const n = g.cost.length;
  const neighbours = Array.from({ length: n }, () => new Set<number>());
  for (const [a, b] of g.edges) {
    (neighbours[a] as Set<number>).add(b);
    (neighbours[b] as Set<number>).add(a);
  }
  const cost = (v: number) => g.cost[v] as number;
  const cover: number[] = [];
  let exact = true;
  for (const part of parts(n, neighbours)) {
    let best = part.reduce((s, v) => s + cost(v), 0) + 1;
    let bestSet: number[] = part;
    let nodes = 0;
    const alive = new Set(part);
    const taken: number[] = [];

    const degree = (v: number) => {
      let d = 0;
      for (const u of neighbours[v] as Set<number>) if (alive.has(u)) d++;
      return d;
    };
    /** Everything but the dearest of each clique has to be paid. */
    const bound = () => {
      const left = [...alive].filter((v) => degree(v) > 0).sort((a, b) => degree(b) - degree(a));
      const cliques: number[][] = [];
      for (const v of left) {
        const home = cliques.find((c) => c.every((u) => (neighbours[v] as Set<number>).has(u)));
        if (home) home.push(v);
        else cliques.push([v]);
      }
      return cliques.reduce((s, c) => s + c.reduce((t, v) => t + cost(v), 0) - Math.max(...c.map(cost)), 0);
    };
    const search = (spent: number) => {
      if (++nodes > MOST_NODES) {
        exact = false;
        return;
      }
      if (spent + bound() >= best - 1e-9) return;
      let pick = -1;
      let most = 0;
      for (const v of alive) {
        const d = degree(v);
        if (d > most || (d === most && pick >= 0 && cost(v) < cost(pick))) {
          most = d;
          pick = v;
        }
      }
      if (most === 0) {
        best = spent;
        bestSet = [...taken];
        return;
      }
      // Take its neighbours, and then it need not be taken; or take it.
      const others = [...(neighbours[pick] as Set<number>)].filter((u) => alive.has(u));
      alive.delete(pick);
      taken.push(pick);
      search(spent + cost(pick));
      taken.pop();
      for (const u of others) {
        alive.delete(u);
        taken.push(u);
      }
      search(spent + others.reduce((s, u) => s + cost(u), 0));
      for (const u of others) {
        alive.add(u);
        taken.pop();
      }
      alive.add(pick);
    };
    search(0);
    cover.push(...bestSet);
  }
  return { cover: cover.sort((a, b) => a - b), exact };
}
