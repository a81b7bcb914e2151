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

/** A mixed-integer programme as it is written down, with what stands at each step: tool, side, power. */
class Programme {
  readonly rows: string[] = [];
  private readonly cost: string[] = [];
  private readonly binary = new Set<string>();

  constructor(
    private readonly moves: Move[],
    /** steps of the order, one after another */
    readonly steps: number[],
    /** what says that a move is done at a step */
    private readonly mark: string,
  ) {
    moves.forEach((_, i) => {
      this.rows.push(`${steps.map((p) => this.bin(this.at(i, p))).join(' + ')} = 1`);
    });
  }

  bin(name: string): string {
    this.binary.add(name);
    return name;
  }

  at = (i: number, step: number) => `${this.mark}${i}_${step}`;

  index = (id: string) => this.moves.findIndex((m) => m.id === id);

  /** One setup at each step, as the moves done there want it; a change costs its minutes, the first one too. */
  setups(costs: Costs): void {
    this.setup(TOOLS, (m) => m.tool, 't', costs.tool);
    this.setup(SIDES, (m) => m.sideUp, 's', costs.flip);
    this.setup(POWERS, (m) => m.power ?? null, 'w', costs.power);
  }

  private setup(names: readonly string[], of: (m: Move) => string | null, mark: string, minutes: number) {
    const { rows } = this;
    for (const p of this.steps) {
      rows.push(`${['none', ...names].map((_, k) => this.bin(`${mark}${k}_${p}`)).join(' + ')} = 1`);
      names.forEach((name, k) => {
        this.moves.forEach((m, i) => {
          if (of(m) === name) rows.push(`${mark}${k + 1}_${p} - ${this.at(i, p)} >= 0`);
        });
        this.cost.push(`${minutes} ${this.bin(`c${mark}${k + 1}_${p}`)}`);
        rows.push(
          p === 0
            ? `c${mark}${k + 1}_0 - ${mark}${k + 1}_0 >= 0`
            : `c${mark}${k + 1}_${p} - ${mark}${k + 1}_${p} + ${mark}${k + 1}_${p - 1} >= 0`,
        );
      });
      if (p > 0) rows.push(`${mark}0_${p - 1} - ${mark}0_${p} >= 0`);
    }
  }

  /** Of each choice of groups one is taken: what it means is said of each move in it. */
  choices(means: (i: number, before: number, chosen: string) => string[]): void {
    this.moves.forEach((m, i) => {
      const groups = m.afterAny ?? [];
      groups.forEach((group, k) => {
        for (const a of group) this.rows.push(...means(i, this.index(a), this.bin(`g${i}_${k}`)));
      });
      if (groups.length) this.rows.push(`${groups.map((_, k) => `g${i}_${k}`).join(' + ')} = 1`);
    });
  }

  /** From the step of its first move to that of its last no other side is up. */
  keeps(keep: Keep[]): void {
    for (const { from, until, sides } of keep)
      SIDES.forEach((name, k) => {
        if (sides.includes(name)) return;
        for (const p of this.steps)
          this.rows.push(
            `s${k + 1}_${p} ${this.upTo(this.index(from), p)} ${this.upTo(this.index(until), p - 1, '-')} <= 1`,
          );
      });
  }

  /** Whether a move is done by a step. */
  upTo(i: number, step: number, sign = '+'): string {
    return this.steps
      .filter((p) => p <= step)
      .map((p) => `${sign} ${this.at(i, p)}`)
      .join(' ');
  }

  text = () =>
    `Minimize\n obj: ${this.cost.join(' + ')}\nSubject To\n${this.rows.map((r, k) => ` r${k}: ${r}`).join('\n')}\nBinary\n ${[...this.binary].join(' ')}\nEnd\n`;
}

/**
 * The same question as a mixed-integer programme: which move stands at which place, which tool is in
 * the hand, which side is up and whether the power is on there, and where they change; of each choice of
 * groups one comes before; between two moves of a keep no other side is up.
 */
export function programme(moves: Move[], costs: Costs, keep: Keep[] = []): string {
  const p = new Programme(
    moves,
    moves.map((_, k) => k),
    'x',
  );
  for (const k of p.steps) p.rows.push(`${moves.map((_, i) => p.at(i, k)).join(' + ')} = 1`);
  p.setups(costs);
  const place = (i: number, sign: string) => p.steps.map((k) => `${sign} ${k} ${p.at(i, k)}`).join(' ');
  moves.forEach((m, i) => {
    for (const a of m.after) p.rows.push(`${place(i, '+')} ${place(p.index(a), '-')} >= 1`);
  });
  p.choices((i, before, chosen) => [
    `${place(i, '+')} ${place(before, '-')} - ${moves.length + 1} ${chosen} >= ${-moves.length}`,
  ]);
  p.keeps(keep);
  return p.text();
}

/**
 * The same question once more, by stages: a stage has one setup, and moves of one stage are done together.
 * Fewer unknowns, for larger units.
 *
 * @param stages as many as may be needed: changes of setup in some order, and one
 */
export function stagedProgramme(moves: Move[], costs: Costs, keep: Keep[], stages: number): string {
  const p = new Programme(
    moves,
    Array.from({ length: stages }, (_, k) => k),
    'y',
  );
  p.setups(costs);
  moves.forEach((m, i) => {
    for (const a of m.after)
      for (const k of p.steps) p.rows.push(`${p.upTo(p.index(a), k)} ${p.upTo(i, k, '-')} >= 0`);
  });
  p.choices((i, before, chosen) =>
    p.steps.map((k) => `${p.upTo(before, k)} ${p.upTo(i, k, '-')} - ${chosen} >= -1`),
  );
  p.keeps(keep);
  return p.text();
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
