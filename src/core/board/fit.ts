import { type FitVerdict, worstOf } from '../fit';
import type { Header, HeaderLine } from '../mixups';
import { type JumpersRequest, jumpers } from '../settings';

/** A board as it is described for comparing. Everything may be unknown: a line then says so. */
export interface BoardSheet {
  name?: string;
  /** numbers printed or labelled on it, as read */
  numbers?: string[];
  /** connectors by their mark, contact by contact */
  headers?: Pick<Header, 'id' | 'positions' | 'lines' | 'key'>[];
  /** mounting holes, mm from one corner */
  holes?: { x: number; y: number }[];
  widthMm?: number;
  heightMm?: number;
  /** supply it may have, V */
  supplyMin?: number;
  supplyMax?: number;
  firmware?: string;
  /** heat sink, bracket, shield, jumper set: what sits on it and goes over */
  carries?: string[];
  /** level of its control line, as read */
  control?: string;
}

export interface BoardFitRequest {
  old: BoardSheet;
  new: BoardSheet;
  /** numbers on the order */
  ordered?: string[];
  /** what the unit gives it, V */
  supplyVolts?: number;
  /** jumpers of the new one: rules, what this unit is, what is set */
  jumpers?: JumpersRequest;
}

export interface BoardLine {
  line: string;
  verdict: FitVerdict;
  old: string;
  new: string;
  why: string;
  work?: string[];
}

export interface BoardFitAnswer {
  lines: BoardLine[];
  verdict: FitVerdict;
  work: string[];
}

/** Holes further apart than this do not take the same screws, mm. Common practice, no source. */
const HOLE_MM = 0.6;

const says = (l: HeaderLine | undefined): string => (l ? l.name : 'nothing');

/** One contact of the old board against the same of the new: null when it carries the same. */
function contact(o: HeaderLine, n: HeaderLine): { harm: boolean; why: string } | null {
  if (o.kind === 'nc') return null;
  if (o.kind !== n.kind) {
    const harm = o.kind === 'supply' || n.kind === 'supply' || o.kind === 'ground' || n.kind === 'ground';
    return { harm, why: `${says(o)} meets ${says(n)}` };
  }
  if (o.kind === 'supply') {
    const over = n.maxVolts !== undefined && o.volts !== undefined && Math.abs(o.volts) > n.maxVolts;
    if (over) return { harm: true, why: `${says(o)} onto ${says(n)}, which stands ${n.maxVolts} V` };
    if (o.volts !== undefined && n.volts !== undefined && o.volts !== n.volts)
      return { harm: true, why: `${o.volts} V where it wants ${n.volts} V` };
  }
  if (o.kind === 'signal' && o.name !== n.name) return { harm: false, why: `${says(o)} meets ${says(n)}` };
  return null;
}

type Rule = (r: BoardFitRequest) => BoardLine[];

const bare = (number: string) => number.toLowerCase().replace(/[^a-z0-9]/g, '');

/** Numbers of the old one, of the order and of the new one: printed on the board, or on its label. */
const numbers: Rule = ({ old, new: fresh, ordered }) => {
  const say = (list: string[] | undefined) => list?.join(', ') || 'not known';
  if (!old.numbers?.length && !fresh.numbers?.length && !ordered?.length) return [];
  const shares = (a: string[] | undefined, b: string[] | undefined) =>
    (a ?? []).some((x) => (b ?? []).some((y) => bare(x) === bare(y)));
  const base = {
    line: 'numbers',
    old: `old ${say(old.numbers)}${ordered?.length ? `, ordered ${say(ordered)}` : ''}`,
    new: say(fresh.numbers),
  };
  if (!fresh.numbers?.length)
    return [{ ...base, verdict: 'not known', why: 'read board and label before the bag is opened' }];
  if (ordered?.length && !shares(ordered, fresh.numbers))
    return [{ ...base, verdict: 'warn', why: 'what came is not what was ordered: ask before it is fitted' }];
  if (!old.numbers?.length)
    return [{ ...base, verdict: 'not known', why: 'read the numbers of the old one' }];
  return [
    shares(old.numbers, fresh.numbers)
      ? { ...base, verdict: 'pass', why: 'a number of the old one is on the new one' }
      : {
          ...base,
          verdict: 'warn',
          why: 'another number: find out what the maker says takes the place of what',
        },
  ];
};

const connectors: Rule = ({ old, new: fresh }) => {
  if (!old.headers?.length)
    return [
      {
        line: 'connectors',
        verdict: 'not known',
        old: 'not known',
        new: 'not known',
        why: 'put its headers on the map',
      },
    ];
  return old.headers.map((h): BoardLine => {
    const line = `connector ${h.id}`;
    const n = fresh.headers?.find((x) => x.id.toLowerCase() === h.id.toLowerCase());
    const base = { line, old: `${h.positions} contacts`, new: n ? `${n.positions} contacts` : 'none' };
    if (!fresh.headers?.length)
      return { ...base, new: 'not known', verdict: 'not known', why: 'read it contact by contact' };
    if (!n) return { ...base, verdict: 'fail', why: `the new one has no ${h.id}` };
    if (n.positions !== h.positions)
      return { ...base, verdict: 'fail', why: `${n.positions} contacts where the plug has ${h.positions}` };
    const wrong = h.lines.flatMap((l, i) => {
      const other = n.lines[i];
      const w = other ? contact(l, other) : null;
      return w ? [{ i: i + 1, ...w }] : [];
    });
    const worst = wrong.find((w) => w.harm) ?? wrong[0];
    if (!worst)
      return {
        ...base,
        verdict: h.key === n.key ? 'pass' : 'warn',
        why: h.key === n.key ? 'every contact carries the same' : 'same contacts, another key',
      };
    return worst.harm
      ? { ...base, verdict: 'fail', why: `contact ${worst.i}: ${worst.why}` }
      : {
          ...base,
          verdict: 'fits after work',
          why: `contact ${worst.i}: ${worst.why}${wrong.length > 1 ? `, and ${wrong.length - 1} more` : ''}`,
          work: [`move the contacts of the plug for ${h.id}, one at a time, against the list`],
        };
  });
};

const mounting: Rule = ({ old, new: fresh }) => {
  const say = (b: BoardSheet) =>
    b.holes?.length
      ? `${b.holes.length} holes${b.widthMm && b.heightMm ? `, ${b.widthMm} × ${b.heightMm} mm` : ''}`
      : 'not known';
  const base = { line: 'mounting', old: say(old), new: say(fresh) };
  if (!old.holes?.length || !fresh.holes?.length)
    return [{ ...base, verdict: 'not known', why: 'lay one on the other and look through the holes' }];
  const missing = old.holes.filter(
    (h) => !fresh.holes?.some((x) => Math.hypot(x.x - h.x, x.y - h.y) <= HOLE_MM),
  );
  return [
    missing.length === 0
      ? { ...base, verdict: 'pass', why: 'every screw finds its hole' }
      : {
          ...base,
          verdict: 'fits after work',
          why: `${missing.length} of ${old.holes.length} screws find no hole`,
          work: ['a bracket or other standoffs, nothing of metal under the board'],
        },
  ];
};

const supply: Rule = ({ new: fresh, supplyVolts, old }) => {
  const span = (b: BoardSheet) =>
    b.supplyMin === undefined || b.supplyMax === undefined
      ? 'not known'
      : `${b.supplyMin} to ${b.supplyMax} V`;
  const base = {
    line: 'supply',
    old: supplyVolts === undefined ? span(old) : `the unit gives ${supplyVolts} V`,
    new: span(fresh),
  };
  if (supplyVolts === undefined || fresh.supplyMin === undefined || fresh.supplyMax === undefined)
    return [{ ...base, verdict: 'not known', why: 'measure what the unit gives, read what the board takes' }];
  const fits = supplyVolts >= fresh.supplyMin && supplyVolts <= fresh.supplyMax;
  return [
    fits
      ? { ...base, verdict: 'pass', why: 'within what it takes' }
      : {
          ...base,
          verdict: 'fail',
          why: supplyVolts > fresh.supplyMax ? 'more than it stands' : 'too little for it to start',
        },
  ];
};

const jumperLine: Rule = ({ jumpers: asked }) => {
  if (!asked) return [];
  const { required, differences } = jumpers(asked);
  const words = (set: Record<string, string>) =>
    Object.entries(set)
      .map(([j, p]) => `${j} ${p}`)
      .join(', ') || 'none';
  return [
    {
      line: 'jumpers',
      old: `wanted here: ${words(required)}`,
      new: `set: ${words(asked.set ?? {})}`,
      ...(differences.length === 0
        ? { verdict: 'pass' as const, why: 'set as this unit wants them' }
        : {
            verdict: 'fits after work' as const,
            why: differences.map((d) => `${d.jumper} is ${d.set ?? 'not looked at'}`).join(', '),
            work: differences.map((d) => `set ${d.jumper} ${d.required}`),
          }),
    },
  ];
};

const firmware: Rule = ({ old, new: fresh }) => {
  if (!old.firmware && !fresh.firmware) return [];
  const base = { line: 'firmware', old: old.firmware ?? 'not known', new: fresh.firmware ?? 'not known' };
  if (!old.firmware || !fresh.firmware)
    return [{ ...base, verdict: 'not known', why: 'read it from the start message or the label' }];
  const family = (f: string) => f.trim().toLowerCase().split(/[\s.]/)[0];
  if (old.firmware === fresh.firmware) return [{ ...base, verdict: 'pass', why: 'the same' }];
  return family(old.firmware) === family(fresh.firmware)
    ? [{ ...base, verdict: 'warn', why: 'another state of the same family: save the settings as text first' }]
    : [{ ...base, verdict: 'fail', why: 'another family: it does not know this unit' }];
};

const control: Rule = ({ old, new: fresh }) => {
  if (!old.control && !fresh.control) return [];
  const base = { line: 'control line', old: old.control ?? 'not known', new: fresh.control ?? 'not known' };
  if (!old.control || !fresh.control)
    return [{ ...base, verdict: 'not known', why: 'measure it idle and talking: RS-232, logic or RS-485' }];
  return old.control === fresh.control
    ? [{ ...base, verdict: 'pass', why: 'same level' }]
    : [{ ...base, verdict: 'fail', why: `${old.control} onto ${fresh.control}: a converter, or not at all` }];
};

const carried: Rule = ({ old, new: fresh }) => {
  const over = (old.carries ?? []).filter((c) => !fresh.carries?.includes(c));
  if (!old.carries?.length) return [];
  const base = {
    line: 'carried over',
    old: old.carries.join(', '),
    new: fresh.carries?.join(', ') || 'bare',
  };
  return over.length === 0
    ? [{ ...base, verdict: 'pass', why: 'nothing has to go over' }]
    : [
        {
          ...base,
          verdict: 'fits after work',
          why: `${over.join(', ')} sits on the old one`,
          work: over.map((c) => `carry over: ${c}`),
        },
      ];
};

/** Every rule of the comparison, and whether a board is called fitting while it is not known. */
const RULES: { rule: Rule; mustKnow: boolean }[] = [
  { rule: numbers, mustKnow: false },
  { rule: supply, mustKnow: true },
  { rule: connectors, mustKnow: true },
  { rule: mounting, mustKnow: false },
  { rule: jumperLine, mustKnow: false },
  { rule: firmware, mustKnow: false },
  { rule: control, mustKnow: false },
  { rule: carried, mustKnow: false },
];

/**
 * Whether one board may take the place of another: contact by contact, mounting, supply, jumpers for
 * this unit, firmware, level of the control line, what is carried over.
 *
 * @param r the two boards, what the unit gives; V, mm
 * @returns lines with both figures and the reason, the verdict and the work it takes
 * @throws Refusal when jumper rules contradict each other
 * @example boardFit({ old, new: fresh, supplyVolts: 24 }).verdict // 'fail'
 */
export function boardFit(r: BoardFitRequest): BoardFitAnswer {
  const judged = RULES.flatMap(({ rule, mustKnow }) => rule(r).map((line) => ({ line, mustKnow })));
  const lines = judged.map((j) => j.line);
  return {
    lines,
    verdict: worstOf(judged.map(({ line, mustKnow }) => ({ verdict: line.verdict, mustKnow }))),
    work: lines.flatMap((l) => (l.verdict === 'fail' ? [] : (l.work ?? []))),
  };
}
