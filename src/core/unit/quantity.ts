import { Refusal } from '../refusal';

interface UnitOf {
  /** as it is written on screen */
  name: string;
  /** other ways to type it */
  typed?: string[];
  /** what it measures: units of one dimension turn into one another */
  dimension: string;
  /** takes k, m, µ and the like before it */
  prefixed?: boolean;
  /** to the first unit of its dimension; times one when absent */
  toFirst?: (x: number) => number;
  fromFirst?: (x: number) => number;
}

const times = (k: number) => ({ toFirst: (x: number) => x * k, fromFirst: (x: number) => x / k });

/** 0 dBu is the voltage that puts 1 mW into 600 Ω: √0.6 V. IEC 60268, from memory. */
const DBU_VOLTS = Math.sqrt(0.6);

const level = (zero: number) => ({
  toFirst: (x: number) => zero * 10 ** (x / 20),
  fromFirst: (x: number) => 20 * Math.log10(x / zero),
});

/** Units that are understood, the first of each dimension is what the others turn into. */
const TABLE: UnitOf[] = [
  { name: 'V', typed: ['volt', 'volts'], dimension: 'voltage', prefixed: true },
  { name: 'dBu', typed: ['dbu'], dimension: 'voltage', ...level(DBU_VOLTS) },
  { name: 'dBV', typed: ['dbv'], dimension: 'voltage', ...level(1) },
  { name: 'A', typed: ['amp', 'amps'], dimension: 'current', prefixed: true },
  { name: 'Ω', typed: ['Ω', 'ohm', 'ohms', 'R'], dimension: 'resistance', prefixed: true },
  { name: 'W', typed: ['watt', 'watts'], dimension: 'power', prefixed: true },
  { name: 'Hz', typed: ['hz'], dimension: 'frequency', prefixed: true },
  { name: 'rpm', typed: ['/min'], dimension: 'frequency', ...times(1 / 60) },
  { name: 'F', dimension: 'capacitance', prefixed: true },
  { name: 'H', dimension: 'inductance', prefixed: true },
  { name: 's', typed: ['sec'], dimension: 'time', prefixed: true },
  { name: 'min', dimension: 'time', ...times(60) },
  { name: 'h', typed: ['hours'], dimension: 'time', ...times(3600) },
  { name: '°C', typed: ['C', 'degC'], dimension: 'temperature' },
  {
    name: '°F',
    typed: ['degF'],
    dimension: 'temperature',
    toFirst: (x) => ((x - 32) * 5) / 9,
    fromFirst: (x) => (x * 9) / 5 + 32,
  },
  {
    name: 'K',
    dimension: 'temperature',
    toFirst: (x) => x - 273.15,
    fromFirst: (x) => x + 273.15,
  },
  { name: 'm', dimension: 'length', prefixed: true },
  { name: 'cm', dimension: 'length', ...times(0.01) },
  { name: 'in', typed: ['inch', '"', '″'], dimension: 'length', ...times(0.0254) },
  { name: 'L', typed: ['l'], dimension: 'volume', prefixed: true },
  { name: 'cm³', typed: ['cm3', 'ccm', 'cc'], dimension: 'volume', ...times(1e-3) },
  { name: 'mm²', typed: ['mm2', 'qmm'], dimension: 'area' },
  { name: 'N·m', typed: ['Nm', 'N.m'], dimension: 'torque', prefixed: true },
  { name: 'J', dimension: 'energy', prefixed: true },
  { name: 'Wh', dimension: 'energy', prefixed: true, ...times(3600) },
  { name: 'Ah', dimension: 'charge', prefixed: true },
  { name: 'dB', dimension: 'ratio in dB' },
  { name: '%', dimension: 'share' },
];

/** Names of all units that are understood. */
export const UNITS_KNOWN: string[] = TABLE.map((u) => u.name);

const PREFIX: Record<string, number> = {
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  µ: 1e-6,
  μ: 1e-6,
  m: 1e-3,
  k: 1e3,
  K: 1e3,
  M: 1e6,
  G: 1e9,
};

const exact = (text: string) => TABLE.find((u) => u.name === text || u.typed?.includes(text));

/** A unit as typed: "mV" is V times a thousandth. */
function unitOf(text: string): { unit: UnitOf; scale: number } | null {
  const whole = exact(text);
  if (whole) return { unit: whole, scale: 1 };
  const scale = PREFIX[text[0] ?? ''];
  const rest = scale === undefined ? undefined : exact(text.slice(1));
  return scale !== undefined && rest?.prefixed ? { unit: rest, scale } : null;
}

/** A number as typed, with its prefix apart from its unit. */
export interface Quantity {
  value: number;
  /** name of the unit without prefix, '' when none was typed */
  unit: string;
  /** a prefix was typed; it is in the value already */
  prefixed: boolean;
}

const NUMBER = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(.*)$/i;
const INFIX = /^([+-]?\d+)([pnuµμmkKMGR])(\d+)(.*)$/;
const OVER = /^(-|\+)?(o\.?l\.?|0l|over(load)?|of)$/i;

/** Decimal comma to point; a comma that parts thousands is not guessed at. */
function tidy(text: string): string {
  const t = text.trim().replace(/\s+/g, '').replace(/^−/, '-').replace('Ω', 'Ω');
  if (/,\d{3}([,.]|$)/.test(t) && /\d,\d{3}[,.]/.test(t))
    throw new Refusal(`“${text.trim()}” has two kinds of point. Type it without thousands marks`);
  return t.replace(',', '.');
}

/**
 * Reads what a person types as a quantity: `775m`, `0,775 V`, `4k7`, `31 mV`, `-12.1`, `-6 dBu`.
 *
 * @param text as typed; a comma counts as the decimal point
 * @param want unit that is expected, to tell metres from milli and kelvin from kilo
 * @returns value with the prefix worked in, and the unit without it
 * @throws Refusal when it is not a number with an optional prefix and unit
 * @example quantityOf('31 mV') // { value: 0.031, unit: 'V', prefixed: true }
 */
export function quantityOf(text: string, want = ''): Quantity {
  const t = tidy(text);
  if (OVER.test(t))
    throw new Refusal(
      'The meter shows over range. Choose a higher range, or look for an open lead, and read again',
    );
  const infix = INFIX.exec(t);
  if (infix) {
    const [, whole, letter = '', rest, tail = ''] = infix;
    const scale = letter === 'R' ? 1 : (PREFIX[letter] as number);
    const unit = tail === '' ? (letter === 'R' ? 'Ω' : '') : exact(tail)?.name;
    if (unit !== undefined) return { value: Number(`${whole}.${rest}`) * scale, unit, prefixed: true };
  }
  const plain = NUMBER.exec(t);
  if (plain) {
    const value = Number(plain[1]);
    const tail = plain[2] ?? '';
    if (!Number.isFinite(value)) throw new Refusal(`“${text.trim()}” is too large to be a reading`);
    if (tail === '') return { value, unit: '', prefixed: false };
    const dimension = unitOf(want)?.unit.dimension;
    const said = unitOf(tail);
    const meant = said && (PREFIX[tail] === undefined || said.unit.dimension === dimension) ? said : null;
    if (meant) return { value: value * meant.scale, unit: meant.unit.name, prefixed: meant.scale !== 1 };
    const scale = PREFIX[tail];
    if (scale !== undefined) return { value: value * scale, unit: '', prefixed: true };
    if (tail === want) return { value, unit: want, prefixed: false };
  }
  throw new Refusal(
    t === ''
      ? 'Type a value, such as 0.775 or 775m'
      : `“${text.trim()}” is not a reading. Type a value, such as 0.775, 775m or 4k7`,
  );
}

/** A value read into the unit that was wanted. */
export interface ReadAs {
  value: number;
  /** the value as typed with its own unit, when it had to be turned into another */
  from?: string;
}

/**
 * Reads a typed value into a given unit, turning dBu into V, °F into °C, rpm into Hz and the like.
 * Without a unit the value is taken to be in the wanted one; a prefix alone counts from its base
 * (`8m` for a point in mA is 8 mA).
 *
 * @param text as typed
 * @param unit unit of the point, with or without prefix; one that is not known is taken as it is
 * @returns value in that unit, and what it was turned from
 * @throws Refusal when it is no quantity, or measures something else
 * @example readAs('-6 dBu', 'V').value // 0.3882
 */
export function readAs(text: string, unit: string): ReadAs {
  const q = quantityOf(text, unit);
  const wanted = unitOf(unit);
  if (!wanted) {
    if (q.unit !== '' && q.unit !== unit)
      throw new Refusal(`“${text.trim()}” is in ${q.unit}, this is read in ${unit}`);
    return { value: q.value };
  }
  const { unit: to, scale } = wanted;
  if (q.unit === '') return { value: q.prefixed ? q.value / scale : q.value };
  const from = exact(q.unit) as UnitOf;
  if (from.name === to.name) return { value: rounded(q.value / scale) };
  if (from.dimension !== to.dimension)
    throw new Refusal(`“${text.trim()}” is in ${from.name}, this is read in ${unit}`);
  const first = from.toFirst ? from.toFirst(q.value) : q.value;
  const value = (to.fromFirst ? to.fromFirst(first) : first) / scale;
  if (!Number.isFinite(value)) throw new Refusal(`${text.trim()} has no value in ${unit}`);
  return { value: rounded(value), from: text.trim() };
}

/** Binary noise of a change of prefix taken off: 0.031 / 0.001 is 31. */
const rounded = (x: number) => Number(x.toPrecision(12));
