import { checkHarness } from './check';
import { leastCover } from './cover';
import { harmOf } from './harm';
import { mates, reversed, shifts, straight, unkeyed } from './mating';
import type { Header, MixupsAnswer, MixupsRequest, Plug, Risk, Severity } from './types';

const EFFECT: Record<Severity, string> = {
  3: 'can destroy what is on it',
  2: 'does not work, and can harm it',
  1: 'does not work',
  0: 'nothing changes',
};

/** By what two plugs are told apart when both lie loose, or null. */
export function choiceBy(a: Plug, b: Plug, homeA: Header, homeB: Header): string | null {
  const own = (p: Plug, mine: Header, other: Header) =>
    p.colour !== undefined && p.colour === mine.colour && p.colour !== other.colour;
  if (own(a, homeA, homeB) && own(b, homeB, homeA)) return 'colour of plug and header';
  if (a.wires?.length && b.wires?.length && a.wires.join(' ') !== b.wires.join(' ')) return 'wire colours';
  if (a.bundle && b.bundle && a.bundle !== b.bundle) return 'bundle';
  return null;
}

function risksOf(plug: Plug, home: Header, headers: Header[]): Risk[] {
  const risk = (
    header: Header,
    how: Risk['how'],
    meeting: ReturnType<typeof straight>,
    shift?: number,
  ): Risk => {
    const { severity, says } = harmOf(plug, home, header, meeting);
    return {
      plug: plug.id,
      header: header.id,
      how,
      ...(shift === undefined ? {} : { shift }),
      effect: EFFECT[severity],
      severity,
      why: says || 'every contact meets what it belongs to',
    };
  };
  const wrong = headers
    .filter((h) => h.id !== home.id && mates(plug, h))
    .map((h) => risk(h, 'wrong header', straight(plug)));
  const turned = unkeyed(plug, home) && plug.positions > 1 ? [risk(home, 'reversed', reversed(plug))] : [];
  const off = home.open
    ? shifts(plug, home)
        .filter((s) => s.meeting.some((k) => k !== null))
        .map((s) => risk(home, 'shifted', s.meeting, s.shift))
    : [];
  return [...wrong, ...turned, ...off];
}

/**
 * Every wrong way a plug can go in, what it does, and the fewest labels and marks that rule the
 * harmful ones out. Labels: a minimum vertex cover of the pairs that can be exchanged harmfully and
 * are not told apart, preferring the more dangerous plug on ties.
 *
 * @param request plugs and headers; mm, volts
 * @returns risks worst first, labels, orientation marks, and who is told apart by what
 * @throws Refusal naming the row that does not hold together
 * @example mixups({ plugs, headers }).labels // ['J7']
 */
export function mixups(request: MixupsRequest): MixupsAnswer {
  checkHarness(request);
  const { plugs, headers } = request;
  const header = new Map(headers.map((h) => [h.id, h]));
  const homeOf = (p: Plug) => header.get(p.home) as Header;
  const index = new Map(plugs.map((p, i) => [p.id, i]));
  const owner = new Map(plugs.map((p) => [p.home, p]));
  const risks = plugs.flatMap((p) => risksOf(p, homeOf(p), headers));

  const severity = plugs.map(() => 0);
  const pairs = new Map<string, [number, number]>();
  const told = new Map<string, MixupsAnswer['told'][number]>();
  const forced = new Set<number>();
  for (const r of risks) {
    if (r.severity === 0 || r.how !== 'wrong header') continue;
    const i = index.get(r.plug) as number;
    const plug = plugs[i] as Plug;
    severity[i] = Math.max(severity[i] as number, r.severity);
    const other = owner.get(r.header);
    if (!other) {
      const there = header.get(r.header) as Header;
      const byColour =
        plug.colour !== undefined &&
        plug.colour === homeOf(plug).colour &&
        there.colour !== undefined &&
        there.colour !== plug.colour;
      if (!byColour) forced.add(i);
      continue;
    }
    const k = index.get(other.id) as number;
    const key = i < k ? `${i} ${k}` : `${k} ${i}`;
    const by = choiceBy(plug, other, homeOf(plug), homeOf(other));
    if (by) told.set(key, { plugs: i < k ? [plug.id, other.id] : [other.id, plug.id], by });
    else pairs.set(key, i < k ? [i, k] : [k, i]);
  }
  const edges = [...pairs.values()].filter(([a, b]) => !forced.has(a) && !forced.has(b));
  // One label more always costs more than all the danger together.
  const one = 4 * plugs.length + 1;
  const { cover, exact } = leastCover({ cost: severity.map((s) => one - s), edges });
  const labels = [...new Set([...forced, ...cover])].sort((a, b) => a - b).map((i) => (plugs[i] as Plug).id);
  return {
    risks: risks
      .map((r, i) => ({ r, i }))
      .sort((a, b) => b.r.severity - a.r.severity || a.i - b.i)
      .map(({ r }) => r),
    labels,
    orientationMarks: plugs
      .map((p) => p.id)
      .filter((id) => risks.some((r) => r.plug === id && r.how === 'reversed' && r.severity > 0)),
    told: [...told.values()],
    fewest: exact,
  };
}
