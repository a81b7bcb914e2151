import { type BoardSheet, boardFit } from '../../board';
import { type BatterySheet, batteryFit } from '../../fit';
import { flatCable } from '../../flat-cable';
import { demand, Refusal } from '../../refusal';
import { closed, Name, Type } from '../../schema/words';
import { flatFlexCount } from '../../sums/cables/counts';
import { drawing } from '../draw';
import { exercise } from '../exercise';

interface Line {
  line: string;
  verdict: string;
  old: string;
  new: string;
  why: string;
}

/** Something to compare: two sheets, and what judges them. */
interface Pair<S> {
  what: 'pack' | 'board' | 'cable';
  sheets: S[];
  /** one change each: most make one line fail, some none */
  changes: ((s: S) => S)[];
  judge(old: S, fresh: S): Line[];
  /** what a sheet says on a line, where the comparison itself names no more than a count */
  says(sheet: S, line: string): string | null;
}

/** Packs as small devices have them; made up. */
const PACKS: Pair<BatterySheet> = {
  what: 'pack',
  sheets: [
    {
      chemistry: 'li-ion',
      form: 'pouch',
      lengthMm: 62,
      widthMm: 41,
      thicknessMm: 6.2,
      volts: 3.7,
      cellChargeV: 4.2,
      ampHours: 2.2,
      maxAmps: 4.4,
      contacts: ['+', 'T', '-'],
      plug: '1.25 mm 3-way',
      leadMm: 60,
      protection: true,
      mount: 'glued',
    },
    {
      chemistry: 'li-ion',
      form: 'hard case',
      lengthMm: 96,
      widthMm: 60,
      thicknessMm: 21,
      volts: 11.1,
      cellChargeV: 4.2,
      ampHours: 3.4,
      maxAmps: 8,
      contacts: ['+', 'T', '-'],
      plug: '2.5 mm 3-way',
      leadMm: 90,
      protection: true,
      mount: 'plug and strap',
    },
    {
      chemistry: 'lead-acid',
      form: 'hard case',
      lengthMm: 151,
      widthMm: 65,
      thicknessMm: 94,
      volts: 12,
      ampHours: 7.2,
      maxAmps: 36,
      contacts: ['+', '-'],
      plug: 'tab 6.3 mm',
      mount: 'plug and strap',
    },
  ],
  changes: [
    (s) => s,
    (s) => s,
    (s) => ({ ...s, thicknessMm: (s.thicknessMm ?? 1) + 3.5 }),
    (s) => ({ ...s, lengthMm: (s.lengthMm ?? 1) + 6 }),
    (s) => ({ ...s, contacts: [...(s.contacts ?? [])].reverse() }),
    (s) => ({ ...s, volts: (s.volts ?? 1) * 2 }),
    (s) => (s.cellChargeV ? { ...s, cellChargeV: s.cellChargeV + 0.15 } : s),
    (s) => ({ ...s, maxAmps: (s.maxAmps ?? 1) / 4 }),
    (s) => ({ ...s, plug: 'bare ends' }),
    (s) => ({ ...s, protection: false }),
    (s) => ({ ...s, ampHours: (s.ampHours ?? 1) * 1.1 }),
    (s) => ({ ...s, leadMm: (s.leadMm ?? 60) + 15 }),
  ],
  says: () => null,
  judge: (old, fresh) => batteryFit({ old, new: fresh, loadAmps: (old.maxAmps ?? 2) * 0.6 }).lines,
};

const CONTACTS: NonNullable<BoardSheet['headers']>[number]['lines'] = [
  { name: '+12V', kind: 'supply', volts: 12, maxVolts: 14 },
  { name: 'GND', kind: 'ground' },
  { name: 'TX', kind: 'signal', maxVolts: 3.6 },
  { name: 'RX', kind: 'signal', maxVolts: 3.6 },
];
const swapped = (s: BoardSheet, a: number, b: number): BoardSheet => ({
  ...s,
  headers: (s.headers ?? []).map((h, k) =>
    k === 0 ? { ...h, lines: h.lines.map((l, i) => h.lines[i === a ? b : i === b ? a : i] ?? l) } : h,
  ),
});
/** Boards as they are exchanged; made up. */
const BOARDS: Pair<BoardSheet> = {
  what: 'board',
  sheets: [
    {
      name: 'control board',
      numbers: ['CB-114', 'C'],
      headers: [
        { id: 'J1', positions: 4, key: null, lines: CONTACTS },
        { id: 'J2', positions: 2, key: 'a', lines: CONTACTS.slice(0, 2) },
      ],
      holes: [
        { x: 4, y: 4 },
        { x: 96, y: 4 },
        { x: 4, y: 56 },
        { x: 96, y: 56 },
      ],
      widthMm: 100,
      heightMm: 60,
      supplyMin: 10,
      supplyMax: 14,
      control: '3.3 V logic',
    },
  ],
  changes: [
    (s) => s,
    (s) => s,
    (s) => swapped(s, 0, 1),
    (s) => swapped(s, 0, 3),
    (s) => ({ ...s, holes: (s.holes ?? []).map((h, i) => (i === 3 ? { ...h, x: h.x - 5 } : h)) }),
    (s) => ({ ...s, supplyMin: 4.5, supplyMax: 5.5 }),
    (s) => ({ ...s, headers: (s.headers ?? []).slice(0, 1) }),
    (s) => ({ ...s, widthMm: 100, heightMm: 60, firmware: '2.1' }),
    (s) => ({ ...s, control: 'RS-232' }),
  ],
  says(sheet, line) {
    if (line === 'mounting')
      return `holes at ${(sheet.holes ?? []).map((h) => `${h.x}, ${h.y}`).join('; ')} mm`;
    const header = sheet.headers?.find((h) => line === `connector ${h.id}`);
    return header ? header.lines.map((l, i) => `${i + 1} ${l.name}`).join(', ') : null;
  },
  judge: (old, fresh) => boardFit({ old, new: fresh, supplyVolts: 12 }).lines,
};
/** A flat cable between two headers, as it lies on the bench. */
interface CableSheet {
  widthMm: number;
  pitchMm: number;
  /** contacts on the same face at both ends, or on opposite faces */
  faces: 'same' | 'opposite';
  lengthMm: number;
  /** where the contacts of its two headers are */
  a: 'up' | 'down';
  b: 'up' | 'down';
}
const countOf = ({ widthMm, pitchMm }: CableSheet): number =>
  Number(flatFlexCount.compute({ widthMm, pitchMm }).values.contacts);

/** One line of two flat cables, by the sheet of flat cables. */
function cableLines(old: CableSheet, fresh: CableSheet): Line[] {
  const { a, b } = old;
  const faces = flatCable({ cable: fresh.faces, a, b });
  const [was, is] = [countOf(old), countOf(fresh)];
  const counted = flatCable({ cable: old.faces, a, b, contacts: { cable: is, a: was, b: was } });
  const length = batteryFit({ old: { leadMm: old.lengthMm }, new: { leadMm: fresh.lengthMm } }).lines.find(
    (l) => l.line === 'lead',
  );
  const words = (s: CableSheet) => `${s.faces === 'same' ? 'same face' : 'opposite faces'}`;
  const size = (s: CableSheet) => `${s.widthMm} mm wide, pitch ${s.pitchMm} mm`;
  return [
    {
      line: 'contact faces',
      verdict: faces.fits ? 'pass' : 'fail',
      old: `headers ${a} and ${b}`,
      new: words(fresh),
      why: faces.why,
    },
    {
      line: 'contacts',
      verdict: counted.fits ? 'pass' : 'fail',
      old: size(old),
      new: size(fresh),
      why: counted.why,
    },
    {
      line: 'length',
      verdict: length?.verdict ?? 'pass',
      old: `${old.lengthMm} mm`,
      new: `${fresh.lengthMm} mm`,
      why: length?.why ?? '',
    },
  ];
}

/** Flat cables as they are exchanged; made up. */
const CABLES: Pair<CableSheet> = {
  what: 'cable',
  sheets: [
    { widthMm: 20.5, pitchMm: 0.5, faces: 'same', lengthMm: 100, a: 'up', b: 'up' },
    { widthMm: 17, pitchMm: 1, faces: 'opposite', lengthMm: 150, a: 'up', b: 'down' },
  ],
  changes: [
    (s) => s,
    (s) => ({ ...s, lengthMm: s.lengthMm + 20 }),
    (s) => ({ ...s, faces: s.faces === 'same' ? 'opposite' : 'same' }),
    (s) => ({ ...s, widthMm: s.widthMm + 2 * s.pitchMm }),
    (s) => ({ ...s, pitchMm: s.pitchMm * 2 }),
  ],
  says: () => null,
  judge: cableLines,
};
const PAIRS = [PACKS, BOARDS, CABLES] as unknown as Pair<object>[];

export interface FitsQuestion {
  what: Pair<object>['what'];
  old: object;
  new: object;
  /** what is compared, each with both figures: the verdicts are what is asked */
  lines: { line: string; old: string; new: string }[];
}

const TRIES = 60;
const failing = (lines: Line[]) => lines.filter((l) => l.verdict === 'fail');
const pairOf = (what: FitsQuestion['what']) => PAIRS.find((p) => p.what === what) as Pair<object>;

/** Two sheets side by side: which line fails, or none. */
export const fits = exercise({
  id: 'fits, or not',
  asks: 'Two sheets side by side: point to the line that does not fit, or say that all do.',
  minutes: 1,
  skills: ['fit of a pack', 'fit of a board', 'fit of a cable'],
  make(_map, seed): FitsQuestion {
    const draw = drawing(seed, 'fits, or not');
    for (let k = 0; k < TRIES; k++) {
      const pair = draw.pick(PAIRS);
      const old = draw.pick(pair.sheets);
      const fresh = draw.pick(pair.changes)(old);
      const lines = pair.judge(old, fresh);
      if (failing(lines).length > 1) continue;
      return {
        what: pair.what,
        old,
        new: fresh,
        lines: lines.map(({ line, old: o, new: n }) => ({
          line,
          old: pair.says(old, line) ?? o,
          new: pair.says(fresh, line) ?? n,
        })),
      };
    }
    throw new Refusal('no two sheets were found that differ in one line', '/seed');
  },
  practises: ({ what }) => [`fit of a ${what}`],
  answer: closed({ line: Type.Union([Name, Type.Null()]) }),
  judge(question, { line }: { line: string | null }) {
    demand(
      line === null || question.lines.some((l) => l.line === line),
      `“${line}” is no line of these sheets`,
      '/line',
    );
    const lines = pairOf(question.what).judge(question.old, question.new);
    const [bad] = failing(lines);
    const right = (bad?.line ?? null) === line;
    return {
      score: right ? 1 : 0,
      remember: bad
        ? `${bad.line}: ${bad.why}`
        : 'All lines fit: what only looks different is no reason to send it back.',
      lines: lines.map((l) => ({
        text: `${l.line}: ${l.old} beside ${l.new}`,
        right: l.verdict !== 'fail' || line === l.line,
        why: l.why,
      })),
    };
  },
});
