import type { OrderMove, OrderRequest } from '../src/core/order';

/** The usual setups of one state: what is in the hand and what is up. */
interface At {
  done: Set<string>;
  tool: string | null;
  side: string | null;
  cost: number;
}

/**
 * A layered beam over changes of setup, written apart from the core and as plainly as it goes: states
 * with the same moves done and the same setup are one; kept are the best by cost, moves left, and tools
 * and sides still wanted. Minutes of the best end it comes to.
 *
 * @param request moves without groups, ways, keeps and power
 * @param width states kept to a layer
 */
export function plainBeam({ moves, toolMinutes, flipMinutes }: OrderRequest, width: number): number {
  const flip = flipMinutes as number;
  const open = (s: At) =>
    moves.filter((m) => !s.done.has(m.id) && (m.after ?? []).every((a) => s.done.has(a)));
  const fits = (m: OrderMove, s: At) =>
    (m.tool === null || m.tool === s.tool) && (m.sideUp === null || m.sideUp === s.side);
  const swept = (s: At): At => {
    for (let list = open(s).filter((m) => fits(m, s)); list.length; list = open(s).filter((m) => fits(m, s)))
      for (const m of list) {
        s.done.add(m.id);
        s.cost += m.minutes;
      }
    return s;
  };
  const rank = (s: At) => {
    const left = moves.filter((m) => !s.done.has(m.id));
    const tools = new Set(left.flatMap((m) => (m.tool !== null && m.tool !== s.tool ? [m.tool] : [])));
    const sides = new Set(left.flatMap((m) => (m.sideUp !== null && m.sideUp !== s.side ? [m.sideUp] : [])));
    return s.cost + 0.2 * left.length + tools.size * toolMinutes + sides.size * flip;
  };
  let layer: At[] = [swept({ done: new Set(), tool: null, side: null, cost: 0 })];
  let best = Number.POSITIVE_INFINITY;
  while (layer.length) {
    const next = new Map<string, At>();
    for (const s of layer) {
      if (s.done.size === moves.length) {
        best = Math.min(best, s.cost);
        continue;
      }
      for (const m of open(s)) {
        const tool = m.tool ?? s.tool;
        const side = m.sideUp ?? s.side;
        const cost = s.cost + (tool === s.tool ? 0 : toolMinutes) + (side === s.side ? 0 : flip);
        const to = swept({ done: new Set(s.done), tool, side, cost });
        const key = `${tool} ${side} ${[...to.done].sort().join()}`;
        if (to.cost < (next.get(key)?.cost ?? Number.POSITIVE_INFINITY)) next.set(key, to);
      }
    }
    layer = [...next.values()]
      .filter((s) => s.cost < best)
      .map((s) => ({ s, r: rank(s) }))
      .sort((a, b) => a.r - b.r)
      .slice(0, width)
      .map(({ s }) => s);
  }
  return best;
}
