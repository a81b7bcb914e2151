import { demand } from '../../refusal';
import { output, type Sum, show, tidy } from '../sum';

const WARN_MV = 50;
/** Under this a cell of any kind in use is past charging, V. Common practice, no source. */
const DEAD_V = 0.9;

export const cellSpread: Sum = {
  name: 'cell-spread',
  title: 'Spread between cells',
  about: 'How far apart the cells of a pack are.',
  also: ['balance', 'pack', 'BMS'],
  inputs: [
    {
      name: 'cells',
      label: 'Cells',
      kind: 'numbers',
      unit: 'V',
      start: '3.91 3.92 3.85',
      hint: 'one after the other',
    },
  ],
  outputs: [output('spreadMv', 'Spread', 'mV'), output('warn', 'Too far apart')],
  source: 'highest − lowest; over 50 mV warns, common practice',
  compute(given) {
    const cells = given.cells;
    demand(Array.isArray(cells) && cells.length >= 2, 'give the voltage of two cells at least', '/cells');
    const volts = cells.map(Number);
    volts.forEach((v, i) => {
      demand(Number.isFinite(v), `cell ${i + 1} is not a voltage`, `/cells/${i}`);
      demand(
        v >= 0,
        `cell ${i + 1} reads ${v} V: reversed. The pack is not charged and not used again`,
        `/cells/${i}`,
      );
    });
    const high = Math.max(...volts);
    const low = Math.min(...volts);
    const spreadMv = tidy(Math.round((high - low) * 1e9) / 1e6);
    return {
      values: { spreadMv, warn: spreadMv > WARN_MV },
      formula: `${show(high)} V − ${show(low)} V = ${show(spreadMv)} mV`,
      ...(low < DEAD_V
        ? {
            caution: `Cell ${volts.indexOf(low) + 1} at ${show(low)} V is dead or shorted: the pack is not charged again.`,
          }
        : {}),
      say:
        spreadMv > WARN_MV
          ? `Cell ${volts.indexOf(low) + 1} is lowest. Balance it, or look for the cell that leaks.`
          : 'Within 50 mV.',
    };
  },
  example: { given: { cells: [3.91, 3.92, 3.85] }, answer: { spreadMv: 70, warn: true } },
};
