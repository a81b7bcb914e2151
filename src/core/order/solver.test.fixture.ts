import type { OrderMove } from '.';

export const TOOLS = ['PH1', 'T20', 'pry card'];
export const SIDES = ['top', 'rear'];
export const POWERS = ['on', 'off'] as const;

/** A move of a random unit: one way, all its fields. */
export type Move = Pick<OrderMove, 'id' | 'minutes' | 'tool' | 'power' | 'afterAny'> & {
  sideUp: string | null;
  after: string[];
};
export interface Keep {
  from: string;
  until: string;
  sides: string[];
}
export interface Costs {
  tool: number;
  flip: number;
  power: number;
}

/**
 * The same question as a mixed-integer programme: which move stands at which place, which tool is in
 * the hand, which side is up and whether the power is on there, and where they change; of each choice of
 * groups one comes before; between two moves of a keep no other side is up.
 */
export function programme(moves: Move[], costs: Costs, keep: Keep[] = []): string {
  const places = moves.map((_, p) => p);
  const cost: string[] = [];
  const rows: string[] = [];
  const binary: string[] = [];
  const bin = (name: string) => {
    if (!binary.includes(name)) binary.push(name);
    return name;
  };
  moves.forEach((_, i) => {
    rows.push(`${places.map((p) => bin(`x${i}_${p}`)).join(' + ')} = 1`);
  });
  for (const p of places) rows.push(`${moves.map((_, i) => `x${i}_${p}`).join(' + ')} = 1`);
  const setup = (names: string[], of: (m: Move) => string | null, mark: string, minutes: number) => {
    for (const p of places) {
      rows.push(`${['none', ...names].map((_, k) => bin(`${mark}${k}_${p}`)).join(' + ')} = 1`);
      names.forEach((name, k) => {
        moves.forEach((m, i) => {
          if (of(m) === name) rows.push(`${mark}${k + 1}_${p} - x${i}_${p} >= 0`);
        });
        // A setup that was not there at the place before costs a change; at the first place, always.
        cost.push(`${minutes} ${bin(`c${mark}${k + 1}_${p}`)}`);
        rows.push(
          p === 0
            ? `c${mark}${k + 1}_0 - ${mark}${k + 1}_0 >= 0`
            : `c${mark}${k + 1}_${p} - ${mark}${k + 1}_${p} + ${mark}${k + 1}_${p - 1} >= 0`,
        );
      });
      if (p > 0) rows.push(`${mark}0_${p - 1} - ${mark}0_${p} >= 0`);
    }
  };
  setup(TOOLS, (m) => m.tool, 't', costs.tool);
  setup(SIDES, (m) => m.sideUp, 's', costs.flip);
  setup([...POWERS], (m) => m.power ?? null, 'w', costs.power);
  const at = (id: string) => moves.findIndex((m) => m.id === id);
  const place = (i: number, sign: string) => places.map((p) => `${sign} ${p} x${i}_${p}`).join(' ');
  moves.forEach((m, i) => {
    for (const a of m.after) rows.push(`${place(i, '+')} ${place(at(a), '-')} >= 1`);
    (m.afterAny ?? []).forEach((group, k) => {
      for (const a of group)
        rows.push(
          `${place(i, '+')} ${place(at(a), '-')} - ${moves.length + 1} ${bin(`g${i}_${k}`)} >= ${-moves.length}`,
        );
    });
    if (m.afterAny?.length) rows.push(`${m.afterAny.map((_, k) => bin(`g${i}_${k}`)).join(' + ')} = 1`);
  });
  // From the place of its first move to that of its last no other side is up.
  for (const { from, until, sides } of keep)
    SIDES.forEach((name, k) => {
      if (sides.includes(name)) return;
      for (const p of places) {
        const begun = places.filter((q) => q <= p).map((q) => `+ x${at(from)}_${q}`);
        const over = places.filter((q) => q < p).map((q) => `- x${at(until)}_${q}`);
        rows.push(`s${k + 1}_${p} ${begun.join(' ')} ${over.join(' ')} <= 1`);
      }
    });
  return `Minimize\n obj: ${cost.join(' + ')}\nSubject To\n${rows.map((r, k) => ` r${k}: ${r}`).join('\n')}\nBinary\n ${binary.join(' ')}\nEnd\n`;
}

/**
 * The same question once more, by stages: a stage has one setup, and moves of one stage are done together.
 * Fewer unknowns, for larger units.
 *
 * @param stages as many as may be needed: changes of setup in some order, and one
 */
export function stagedProgramme(moves: Move[], costs: Costs, keep: Keep[], stages: number): string {
  const all = Array.from({ length: stages }, (_, k) => k);
  const cost: string[] = [];
  const rows: string[] = [];
  const binary = new Set<string>();
  const bin = (name: string) => {
    binary.add(name);
    return name;
  };
  const at = (id: string) => moves.findIndex((m) => m.id === id);
  const until = (i: number, stage: number, sign = '+') =>
    all
      .filter((k) => k <= stage)
      .map((k) => `${sign} y${i}_${k}`)
      .join(' ');
  moves.forEach((_, i) => {
    rows.push(`${all.map((k) => bin(`y${i}_${k}`)).join(' + ')} = 1`);
  });
  const setup = (names: readonly string[], of: (m: Move) => string | null, mark: string, minutes: number) => {
    for (const k of all) {
      rows.push(`${['none', ...names].map((_, x) => bin(`${mark}${x}_${k}`)).join(' + ')} = 1`);
      names.forEach((name, x) => {
        moves.forEach((m, i) => {
          if (of(m) === name) rows.push(`${mark}${x + 1}_${k} - y${i}_${k} >= 0`);
        });
        cost.push(`${minutes} ${bin(`c${mark}${x + 1}_${k}`)}`);
        rows.push(
          k === 0
            ? `c${mark}${x + 1}_0 - ${mark}${x + 1}_0 >= 0`
            : `c${mark}${x + 1}_${k} - ${mark}${x + 1}_${k} + ${mark}${x + 1}_${k - 1} >= 0`,
        );
      });
      if (k > 0) rows.push(`${mark}0_${k - 1} - ${mark}0_${k} >= 0`);
    }
  };
  setup(TOOLS, (m) => m.tool, 't', costs.tool);
  setup(SIDES, (m) => m.sideUp, 's', costs.flip);
  setup(POWERS, (m) => m.power ?? null, 'w', costs.power);
  moves.forEach((m, i) => {
    for (const a of m.after) for (const k of all) rows.push(`${until(at(a), k)} ${until(i, k, '-')} >= 0`);
    (m.afterAny ?? []).forEach((group, x) => {
      for (const a of group)
        for (const k of all) rows.push(`${until(at(a), k)} ${until(i, k, '-')} - ${bin(`g${i}_${x}`)} >= -1`);
    });
    if (m.afterAny?.length) rows.push(`${m.afterAny.map((_, x) => bin(`g${i}_${x}`)).join(' + ')} = 1`);
  });
  for (const { from, until: end, sides } of keep)
    SIDES.forEach((name, x) => {
      if (sides.includes(name)) return;
      for (const k of all)
        rows.push(`s${x + 1}_${k} ${until(at(from), k)} ${until(at(end), k - 1, '-')} <= 1`);
    });
  return `Minimize\n obj: ${cost.join(' + ')}\nSubject To\n${rows.map((r, k) => ` r${k}: ${r}`).join('\n')}\nBinary\n ${[...binary].join(' ')}\nEnd\n`;
}

/** A random unit with tools, sides, power, groups to choose from and, now and then, a side to keep. */
export function drawnUnit(n: number, seed: number): { moves: Move[]; keep: Keep[] } {
  let at = seed;
  // Park and Miller, Communications of the ACM 31(10), 1988.
  const below = (k: number) => {
    at = (at * 48271) % 2147483647;
    return at % k;
  };
  const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;
  const moves = Array.from(
    { length: n },
    (_, i): Move => ({
      id: `m${i}`,
      minutes: 1 + below(9),
      tool: pick([null, ...TOOLS]),
      sideUp: pick([null, null, ...SIDES]),
      power: pick([null, null, null, ...POWERS]),
      after: i === 0 ? [] : [`m${below(i)}`],
      ...(i >= 2 && below(4) === 0 ? { afterAny: [[`m${below(i)}`], [`m${below(i)}`]] } : {}),
    }),
  );
  const from = below(n);
  const end = below(n);
  return { moves, keep: from < end ? [{ from: `m${from}`, until: `m${end}`, sides: ['top'] }] : [] };
}
