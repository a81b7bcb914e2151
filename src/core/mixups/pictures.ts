import type { MixupsAnswer, MixupsRequest } from './types';

/** One picture: what it has to show, on which board. */
export interface PictureWanted {
  board: string;
  /** headers it shows */
  headers: string[];
  /** middle of it on the board, mm */
  x: number;
  y: number;
  /** plugs whose doubt it settles */
  plugs: string[];
}

/** What one picture of a board shows sharp enough to read a plug by, mm. Common practice, no source. */
const FRAME = { width: 120, height: 90 };
/** Doubts up to which the fewest pictures are looked for exactly. */
const MOST_EXACT = 16;

interface Doubt {
  plug: string;
  header: string;
  x: number;
  y: number;
  board: string;
}

/** Windows worth taking: each with a doubt at its left and one at its top edge. */
function windows(doubts: Doubt[], frame: { width: number; height: number }) {
  const list: { board: string; shows: number[] }[] = [];
  for (const left of doubts)
    for (const top of doubts) {
      if (left.board !== top.board) continue;
      const shows = doubts.flatMap((d, i) =>
        d.board === left.board &&
        d.x >= left.x &&
        d.x <= left.x + frame.width &&
        d.y >= top.y &&
        d.y <= top.y + frame.height
          ? [i]
          : [],
      );
      if (shows.length) list.push({ board: left.board, shows });
    }
  return list.sort((a, b) => b.shows.length - a.shows.length);
}

/** The fewest windows that show every doubt, by trying; null when there are too many to try. */
function fewest(n: number, list: { shows: number[] }[]): number[] | null {
  if (n > MOST_EXACT) return null;
  let best: number[] | null = null;
  const walk = (open: Set<number>, taken: number[]) => {
    if (best && taken.length >= best.length) return;
    const [first] = open;
    if (first === undefined) {
      best = taken;
      return;
    }
    list.forEach((w, k) => {
      if (w.shows.includes(first))
        walk(new Set([...open].filter((i) => !w.shows.includes(i))), [...taken, k]);
    });
  };
  walk(new Set(Array.from({ length: n }, (_, i) => i)), []);
  return best;
}

function greedy(n: number, list: { shows: number[] }[]): number[] {
  const open = new Set(Array.from({ length: n }, (_, i) => i));
  const taken: number[] = [];
  while (open.size) {
    let best = -1;
    let most = 0;
    list.forEach((w, k) => {
      const more = w.shows.filter((i) => open.has(i)).length;
      if (more > most) [best, most] = [k, more];
    });
    if (best < 0) break;
    taken.push(best);
    for (const i of list[best]?.shows ?? []) open.delete(i);
  }
  return taken;
}

/**
 * The fewest pictures, taken before anything is unplugged, that show every plug about which a doubt
 * remains: one that could do harm elsewhere, turned round or one off.
 *
 * Method: set cover over windows of one picture, exact for up to 16 doubts, greedy beyond (Johnson 1974).
 *
 * @param r plugs and headers; mm
 * @param answer what could be plugged in wrongly
 * @param frame what one picture shows, mm
 * @returns pictures, those that show most first, and whether fewer cannot do
 * @example picturesWanted(r, mixups(r)).pictures.length // 1 for one small board
 */
export function picturesWanted(
  r: MixupsRequest,
  answer: MixupsAnswer,
  frame = FRAME,
): { pictures: PictureWanted[]; fewest: boolean } {
  const risky = new Set(answer.risks.filter((x) => x.severity > 0).map((x) => x.plug));
  const doubts = r.plugs.flatMap((p): Doubt[] => {
    const home = r.headers.find((h) => h.id === p.home);
    return risky.has(p.id) && home ? [{ plug: p.id, header: home.id, ...home.at }] : [];
  });
  const list = windows(doubts, frame);
  const exact = fewest(doubts.length, list);
  const taken = exact ?? greedy(doubts.length, list);
  const shown = new Set<number>();
  const pictures = taken.flatMap((k): PictureWanted[] => {
    const w = list[k];
    const mine = (w?.shows ?? []).filter((i) => !shown.has(i));
    for (const i of mine) shown.add(i);
    const them = mine.flatMap((i) => doubts[i] ?? []);
    if (!w || them.length === 0) return [];
    const mid = (v: number[]) => Math.round((Math.min(...v) + Math.max(...v)) / 2);
    return [
      {
        board: w.board,
        headers: them.map((d) => d.header),
        plugs: them.map((d) => d.plug),
        x: mid(them.map((d) => d.x)),
        y: mid(them.map((d) => d.y)),
      },
    ];
  });
  pictures.sort((a, b) => b.plugs.length - a.plugs.length);
  return { pictures, fewest: exact !== null };
}
