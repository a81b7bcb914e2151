import { Refusal } from '../refusal';
import { CHARGE_TABLES } from './cells/charge-tables';
import type { Sum, Value } from './sum';

/** A sum over the span of one of its figures, for those who would rather look. */
export interface Curve {
  x: { label: string; unit: string };
  y: { label: string; unit: string };
  points: { x: number; y: number }[];
  /** where the figures typed stand */
  mark?: { x: number; y: number };
  /** a level that matters */
  line?: { y: number; says: string };
}

type Given = Record<string, Value | undefined>;
type Draw = (sum: Sum, given: Given) => Curve | null;

const STEPS = 60;
const n = (given: Given, name: string): number | null =>
  typeof given[name] === 'number' ? (given[name] as number) : null;

/** One output of a sum at a figure, or null where there is none. */
function at(sum: Sum, given: Given, output: string): number | null {
  try {
    const x = sum.compute(given).values[output];
    return typeof x === 'number' && Number.isFinite(x) ? x : null;
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

/** An output over one input, from a share of what is typed to a multiple of it. */
const over =
  (
    input: string,
    output: string,
    labels: [x: string, unit: string, y: string, unit: string],
    span = [0.2, 3],
  ): Draw =>
  (sum, given) => {
    const here = n(given, input);
    if (here === null || here <= 0) return null;
    const [low = 0.2, high = 3] = span;
    const points = Array.from(
      { length: STEPS + 1 },
      (_, i) => here * (low + ((high - low) * i) / STEPS),
    ).flatMap((x) => {
      const y = at(sum, { ...given, [input]: x }, output);
      return y === null ? [] : [{ x, y }];
    });
    const y = at(sum, given, output);
    const [xl, xu, yl, yu] = labels;
    return {
      x: { label: xl, unit: xu },
      y: { label: yl, unit: yu },
      points,
      ...(y === null ? {} : { mark: { x: here, y } }),
    };
  };

const dischargeCurve: Draw = (sum, given) => {
  const v0 = n(given, 'volts0');
  const v1 = n(given, 'volts1');
  const ohms = at(sum, given, 'ohms');
  const farads = n(given, 'farads');
  const end = at(sum, given, 'seconds');
  if (v0 === null || v1 === null || ohms === null || farads === null || end === null) return null;
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const t = (end * 1.15 * i) / STEPS;
    return { x: t, y: v0 * Math.exp(-t / (ohms * farads)) };
  });
  return {
    x: { label: 'time', unit: 's' },
    y: { label: 'voltage', unit: 'V' },
    points,
    mark: { x: end, y: v1 },
    ...(v0 > 60 ? { line: { y: 60, says: '60 V d.c.' } } : {}),
  };
};

const ntcCurve: Draw = (sum, given) => {
  const { celsius: _, ohms: __, ...part } = given;
  const points = Array.from({ length: STEPS + 1 }, (_x, i) => -20 + (280 * i) / STEPS).flatMap((x) => {
    const y = at(sum, { ...part, celsius: x }, 'ohms');
    return y === null ? [] : [{ x, y }];
  });
  const celsius = n(given, 'celsius') ?? at(sum, given, 'celsius');
  const ohms = n(given, 'ohms') ?? at(sum, given, 'ohms');
  if (points.length < 2) return null;
  return {
    x: { label: 'temperature', unit: '°C' },
    y: { label: 'resistance', unit: 'Ω' },
    points,
    ...(celsius === null || ohms === null ? {} : { mark: { x: celsius, y: ohms } }),
  };
};

const restCurve: Draw = (sum, given) => {
  const table = CHARGE_TABLES.find((t) => t.chemistry === given.chemistry);
  if (!table) return null;
  const series = n(given, 'series') ?? 1;
  const volts = n(given, 'restVolts');
  const percent = at(sum, given, 'percent');
  return {
    x: { label: 'charge', unit: '%' },
    y: { label: 'rest voltage', unit: 'V' },
    points: [...table.points].reverse().map(([v, p]) => ({ x: p, y: v * series })),
    ...(volts === null || percent === null ? {} : { mark: { x: percent, y: volts } }),
  };
};

const CURVES: Record<string, Draw> = {
  discharge: dischargeCurve,
  ntc: ntcCurve,
  'charge-left': restCurve,
  'runtime-peukert': over('amps', 'hours', ['load', 'A', 'runtime', 'h']),
  'runtime-energy': over('watts', 'hours', ['load', 'W', 'runtime', 'h']),
  'wire-drop': over('oneWayMetres', 'dropVolts', ['length', 'm', 'lost', 'V'], [0, 2.5]),
};

/**
 * The curve of a sum around the figures typed.
 *
 * @param sum one of the cabinet
 * @param given inputs, as far as they are there
 * @returns points in the order they are drawn, or null where a curve says nothing
 * @example curveOf(discharge, { ohms: 1000, farads: 470e-6, volts0: 320, volts1: 5 })?.line?.y // 60
 */
export const curveOf = (sum: Sum, given: Given): Curve | null => CURVES[sum.name]?.(sum, given) ?? null;
