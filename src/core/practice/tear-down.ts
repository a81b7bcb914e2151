import { readLine } from '../ledger';
import { demand } from '../refusal';
import { coversOver, type UnitMap } from '../unit';
import { drawing } from './draw';

/** One move of a tear-down. */
export interface TearDownMove {
  id: string;
  /** as on the entry line */
  text: string;
  tool: string | null;
  sideUp: string | null;
  minutes: number;
  after: string[];
}

/** Screws of an invented cover, as many units have them. */
const SCREWS = ['M3x8 PH1', 'M3x6 PH1', 'M2.5x6 PH1', 'M4x10 PH2', 'M3x10 T10'];
const FEWEST = 4;
const MOST_PLUGS = 3;

/** Moves that are known of this unit, those that take something off. */
function known(map: UnitMap): TearDownMove[] {
  const takes = new Set((map.moves ?? []).filter((m) => readLine(m.text).item).map((m) => m.id));
  const before = new Map((map.moves ?? []).map((m) => [m.id, m.after ?? []]));
  // What lies between two moves that take something off ties them all the same.
  const ties = (id: string, seen = new Set<string>()): string[] =>
    (before.get(id) ?? []).flatMap((b) => {
      if (seen.has(b)) return [];
      seen.add(b);
      return takes.has(b) ? [b] : ties(b, seen);
    });
  return (map.moves ?? [])
    .filter((m) => takes.has(m.id))
    .map(({ id, text, tool, sideUp, minutes }) => ({ id, text, tool, sideUp, minutes, after: ties(id) }));
}

/** Moves as such a unit has them, where nobody wrote down its way in: screws and cover, leads, a board. */
function invented(map: UnitMap, seed: number): TearDownMove[] {
  const draw = drawing(seed, 'tear-down');
  const moves: TearDownMove[] = [];
  const lifted = new Map<string, string>();
  const covers = coversOver(
    map.access,
    map.access.map((a) => a.id),
  );
  covers.forEach((id, k) => {
    const access = map.access.find((a) => a.id === id);
    if (!access) return;
    const over = (access.needs ?? []).flatMap((n) => lifted.get(n) ?? []);
    const count = 2 + draw.below(3) * 2;
    const screw = draw.pick(SCREWS);
    const drive = screw.split(' ')[1] ?? 'PH1';
    moves.push({
      id: `screws ${id}`,
      text: `${count} x ${screw} ${access.name} > cup ${k + 1}`,
      tool: `${drive} driver`,
      sideUp: null,
      minutes: count * 0.25,
      after: over,
    });
    moves.push({
      id: `lift ${id}`,
      text: `lift ${access.name}`,
      tool: null,
      sideUp: null,
      minutes: 0.5,
      after: [`screws ${id}`, ...over],
    });
    lifted.set(id, `lift ${id}`);
  });
  const boards = map.elements.filter(
    (e) => e.kind === 'board' && (map.access.length === 0 || e.needs?.length),
  );
  const board = boards.length ? draw.pick(boards) : undefined;
  if (!board) return moves;
  const under = coversOver(map.access, board.needs).flatMap((c) => lifted.get(c) ?? []);
  const touching = map.feeds.flatMap((f) =>
    f.from === board.id ? [f.to] : f.to === board.id ? [f.from] : [],
  );
  const leads = map.elements.filter((e) => e.kind === 'cable' && touching.includes(e.id)).map((e) => e.id);
  const plugs = (map.plugs ?? [])
    .filter((p) => map.headers?.some((h) => h.id === p.home && h.at.board === board.id))
    .map((p) => p.id);
  const parted = draw.shuffled(plugs.length ? plugs : leads).slice(0, MOST_PLUGS);
  for (const p of parted)
    moves.push({
      id: `unplug ${p}`,
      text: `unplug ${p}`,
      tool: null,
      sideUp: null,
      minutes: 0.3,
      after: under,
    });
  const mounts = draw.pick(SCREWS.slice(0, 3));
  const drive = mounts.split(' ')[1] ?? 'PH1';
  const off = parted.map((p) => `unplug ${p}`);
  moves.push({
    id: 'screws board',
    text: `4 x ${mounts} ${board.id} > cup ${covers.length + 1}`,
    tool: `${drive} driver`,
    sideUp: null,
    minutes: 1,
    after: under,
  });
  moves.push({
    id: `lift ${board.id}`,
    text: `lift ${board.id}`,
    tool: null,
    sideUp: null,
    minutes: 0.5,
    after: ['screws board', ...off, ...under],
  });
  return moves;
}

/**
 * A tear-down of a unit: as somebody wrote it down, or as such a unit would have it.
 *
 * @param map any unit
 * @param seed a whole number
 * @returns moves in an order in which they can be done
 * @throws Refusal where there is nothing on it to take off
 * @example tearDown(map, 3).map((m) => m.text) // ['4 x M3x8 PH1 lid > cup 1', 'lift lid', …]
 */
export function tearDown(map: UnitMap, seed: number): TearDownMove[] {
  const written = known(map);
  const moves = written.length >= FEWEST ? written : invented(map, seed);
  demand(
    moves.length >= FEWEST,
    `${map.name}: its map names too little that comes off. Add a cover or a board to the map, or take another unit`,
    '/unit',
  );
  return moves;
}
