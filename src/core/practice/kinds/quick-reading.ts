import { lookAlike, threadMm } from '../../ledger';
import { demand } from '../../refusal';
import { closed, Line } from '../../schema/words';
import { BANDS, SUMS } from '../../sums';
import { readDateCode } from '../../unit/date-code';
import { type Draw, drawing } from '../draw';
import { exercise } from '../exercise';
import type { Skill } from '../skills';

/** One glance, one answer: what is seen, and the answers that stand beside it. */
export interface ReadingQuestion {
  kind: string;
  skill: Skill;
  /** what is asked */
  asks: string;
  /** what is seen, in words */
  seen: string;
  /** colours of bands, to be drawn */
  bands?: string[];
  options: string[];
}

/** One kind of glance. What is right is said by the bench sums, never kept beside it. */
interface Glance {
  kind: string;
  skill: Skill;
  asks: string;
  draw(d: Draw): Pick<ReadingQuestion, 'seen' | 'bands'> & { wrong: string[] };
  /** what the bench sums say to what is seen */
  reads(seen: string): { value: string; why: string };
}

const sum = (name: string) => {
  const found = SUMS.find((s) => s.name === name);
  demand(found, `there is no sum ${name}`);
  return found;
};
const ohms = (x: number): string =>
  x >= 1e6
    ? `${Number((x / 1e6).toPrecision(3))} MΩ`
    : x >= 1000
      ? `${Number((x / 1000).toPrecision(3))} kΩ`
      : `${Number(x.toPrecision(3))} Ω`;

const bands: Glance = {
  kind: 'bands',
  skill: 'bands',
  asks: 'What is it worth?',
  draw(d) {
    // Preferred values of E12, IEC 60063.
    const [tens, ones] = d.pick(['10', '12', '15', '18', '22', '27', '33', '39', '47', '56', '68', '82']);
    const power = d.below(5);
    const colour = (digit: number) => BANDS.find((b) => b.digit === digit)?.colour ?? 'black';
    const list = [colour(Number(tens)), colour(Number(ones)), colour(power), 'gold'];
    const value = Number(`${tens}${ones}`) * 10 ** power;
    const turned = Number(`${ones}${tens}`) * 10 ** power;
    return {
      seen: list.join(' '),
      bands: list,
      wrong: [ohms(value * 10), ohms(value / 10), ohms(turned), ohms(value * 100)],
    };
  },
  reads(seen) {
    const { values, formula } = sum('resistor-read').compute({ bands: seen });
    return { value: ohms(Number(values.ohms)), why: formula };
  },
};

const LEVELS = ['RS-232', 'RS-485', '5 V logic', '3.3 V logic', '1.8 V logic'];
const level: Glance = {
  kind: 'a level on a line',
  skill: 'levels',
  asks: 'Which level is it?',
  draw(d) {
    const [idle, active] = d.pick([
      [-8.7, 8.5],
      [-5.6, 6.1],
      [0.9, -1.1],
      [4.9, 0.1],
      [3.28, 0.06],
      [0.05, 3.31],
      [1.79, 0.02],
    ]);
    return { seen: `idle ${idle} V, active ${active} V`, wrong: LEVELS };
  },
  reads(seen) {
    const [idleVolts, activeVolts] = numbersIn(seen);
    const { values, formula } = sum('serial-level').compute({ idleVolts, activeVolts });
    return { value: String(values.kind), why: formula };
  },
};

const numbersIn = (text: string): number[] => (text.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
const about = (percent: number): string =>
  percent < 5 ? 'flat' : percent > 95 ? 'full' : `about ${Math.round(percent / 10) * 10} %`;
const rest: Glance = {
  kind: 'a rest voltage',
  skill: 'rest voltage',
  asks: 'How full is it?',
  draw(d) {
    const volts = d.pick([12.7, 12.5, 12.4, 12.2, 12.0, 11.8]);
    return {
      seen: `lead-acid 12 V, at rest: ${volts} V`,
      wrong: ['full', 'about 80 %', 'about 60 %', 'about 50 %', 'about 30 %', 'about 10 %', 'flat'],
    };
  },
  reads(seen) {
    const volts = numbersIn(seen).at(-1) as number;
    const { values, formula } = sum('charge-left').compute({ chemistry: 'lead-acid 12 V', restVolts: volts });
    return { value: values.percent === null ? 'full' : about(Number(values.percent)), why: formula };
  },
};

const dates: Glance = {
  kind: 'a date code',
  skill: 'date codes',
  asks: 'When was it made?',
  draw(d) {
    const year = 18 + d.below(8);
    const week = 1 + d.below(52);
    const code = `${year}${String(week).padStart(2, '0')}`;
    return {
      seen: code,
      wrong: [
        `week ${year} of 20${String(week).padStart(2, '0')}`,
        `week ${Math.max(1, week - 10)} of 20${year}`,
        `week ${week} of 20${year - 1}`,
      ],
    };
  },
  reads(seen) {
    const { words, from, to } = readDateCode(seen);
    return { value: words, why: `year and week, ISO 8601: ${from} to ${to}` };
  },
};

const THREADS = ['M2', 'M2.5', 'M2.6', 'M3', '6-32', 'M4', 'M5'];
const screwOf = (name: string) => ({ kind: 'fastener' as const, thread: name, lengthMm: 8, drive: 'PH1' });
const thread: Glance = {
  kind: 'a thread on the rule',
  skill: 'threads',
  asks: 'Which thread is it most likely?',
  draw(d) {
    const mm = threadMm(d.pick(THREADS)) ?? 3;
    // A rule reads the outside, and a real thread is a little under its name.
    return { seen: `${(mm - 0.05 - d.below(6) / 100).toFixed(2)} mm over the thread`, wrong: THREADS };
  },
  reads(seen) {
    const [mm] = numbersIn(seen) as [number];
    const over = THREADS.map((t) => ({ t, mm: threadMm(t) ?? 0 })).filter((x) => x.mm >= mm);
    const nearest = over.reduce((a, b) => (b.mm < a.mm ? b : a));
    const twin = THREADS.find((t) => t !== nearest.t && lookAlike(screwOf(t), screwOf(nearest.t)));
    return {
      value: nearest.t,
      why: `${nearest.t} is ${nearest.mm} mm, and a thread measures a little under its name${twin ? `; ${twin} looks alike, try a nut` : ''}`,
    };
  },
};

const VERDICTS = ['credible', 'above typical', 'not credible'];
const claim: Glance = {
  kind: 'a claimed capacity',
  skill: 'claims',
  asks: 'Can it hold that?',
  draw(d) {
    const ampHours = d.pick([1.1, 1.2, 1.5, 1.9, 2.4, 3.6, 5.0]);
    return { seen: `Li-ion pouch, 3.7 V, 9 mL, claims ${ampHours} Ah`, wrong: VERDICTS };
  },
  reads(seen) {
    const ampHours = numbersIn(seen).at(-1) as number;
    const what = sum('cell-density').inputs[0]?.options?.find((o) => /pouch/i.test(o));
    const { values, formula, say } = sum('cell-density').compute({ what, volts: 3.7, ampHours, volumeMl: 9 });
    return { value: String(values.verdict), why: [formula, say].filter(Boolean).join('. ') };
  },
};

/** Every kind of glance. A new one is an entry here. */
const GLANCES: Glance[] = [bands, level, rest, dates, thread, claim];
const OPTIONS = 4;

/** Band colours, a level, a rest voltage, a date code, a thread, a claim: one glance, one answer. */
export const quickReading = exercise({
  id: 'quick reading',
  asks: 'One glance, one answer.',
  minutes: 0.5,
  skills: ['bands', 'levels', 'rest voltage', 'date codes', 'threads', 'claims'],
  make(_map, seed): ReadingQuestion {
    const d = drawing(seed, 'quick reading');
    const glance = d.pick(GLANCES);
    const { wrong, ...seen } = glance.draw(d);
    const { value } = glance.reads(seen.seen);
    const others = d.shuffled([...new Set(wrong)].filter((w) => w !== value)).slice(0, OPTIONS - 1);
    return {
      kind: glance.kind,
      skill: glance.skill,
      asks: glance.asks,
      ...seen,
      options: d.shuffled([value, ...others]),
    };
  },
  practises: ({ skill }) => [skill],
  answer: closed({ value: Line }),
  judge(question, { value }: { value: string }) {
    demand(question.options.includes(value), `“${value}” does not stand beside it`, '/value');
    const said = GLANCES.find((g) => g.kind === question.kind)?.reads(question.seen);
    demand(said, `${question.kind} is no kind of glance`, '/value');
    const right = said.value === value;
    return {
      score: right ? 1 : 0,
      remember: `${question.seen}: ${said.value}. ${said.why}`,
      lines: [{ text: `${question.seen}: ${value}`, right, why: `${said.value}: ${said.why}` }],
    };
  },
});
