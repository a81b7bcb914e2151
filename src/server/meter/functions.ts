import { readAs } from '../../core/unit';
import { Problem } from '../problem';

/** What a meter is set to for a unit, and how its answer becomes a reading in it. */
interface MeterFunction {
  /** IEEE 488.2 / SCPI-99 subsystem after CONFigure: and MEASure: */
  scpi: string;
  /** unit without prefix that the meter answers in */
  answers: string;
}

const OF: Record<string, MeterFunction> = {
  V: { scpi: 'VOLT:DC', answers: 'V' },
  'V a.c.': { scpi: 'VOLT:AC', answers: 'V' },
  A: { scpi: 'CURR:DC', answers: 'A' },
  'A a.c.': { scpi: 'CURR:AC', answers: 'A' },
  Ω: { scpi: 'RES', answers: 'Ω' },
  Hz: { scpi: 'FREQ', answers: 'Hz' },
  F: { scpi: 'CAP', answers: 'F' },
  '°C': { scpi: 'TEMP', answers: '°C' },
  dBu: { scpi: 'VOLT:AC', answers: 'V' },
  dBV: { scpi: 'VOLT:AC', answers: 'V' },
};

/**
 * The meter function for a unit.
 *
 * @throws Problem 422 when no bench meter reads in that unit
 */
export function functionFor(unit: string, ac = false): MeterFunction {
  const base = Object.keys(OF).find((u) => u === unit) ?? unit.replace(/^[pnuµμmkMG]/, '');
  const found = (ac ? OF[`${base} a.c.`] : undefined) ?? OF[base];
  if (!found) throw new Problem(422, 'No such function', `a bench meter does not read in ${unit}`, '/unit');
  return found;
}

/** What SCPI-99 answers for a value that is over the range. */
const OVER = 9e37;

/**
 * Turns an answer line into a reading in a unit.
 *
 * @throws Problem 502 when it is no number, 422 when it is over range
 */
export function readingOf(line: string, fn: MeterFunction, unit: string): number {
  const text = line.trim();
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(text))
    throw new Problem(502, 'Wrong answer', `the meter said “${text.slice(0, 60)}” where a number should be`);
  const value = Number(text);
  if (Math.abs(value) > OVER || !Number.isFinite(value))
    throw new Problem(
      422,
      'Over range',
      'the meter shows over range. Choose a higher range, or look for an open lead, and read again',
    );
  return readAs(`${value} ${fn.answers}`, unit).value;
}
