import { demand } from '../../refusal';
import { input, maybe, output, type Sum, show, tidy } from '../sum';

const CELL_WH = 20;
const PACK_WH = 100;

export const transport: Sum = {
  name: 'transport',
  title: 'Lithium in transport',
  about: 'Watt hours against the thresholds that decide how it may be sent.',
  also: ['shipping', 'UN 38.3', 'dangerous goods', 'air'],
  inputs: [
    input('cellVolts', 'A cell', 'V', '3.7', { optional: true }),
    input('cellAmpHours', 'A cell', 'Ah', '3', { optional: true }),
    input('packVolts', 'or a pack', 'V', '', { optional: true }),
    input('packAmpHours', 'or a pack', 'Ah', '', { optional: true }),
  ],
  outputs: [
    output('wattHours', 'Energy', 'Wh'),
    output('overCellThreshold', 'Over 20 Wh, a cell'),
    output('overPackThreshold', 'Over 100 Wh, a pack'),
  ],
  source: 'UN 38.3 and IATA DGR thresholds, from memory: look up the current rules',
  compute(given) {
    const cell = [maybe(given, 'cellVolts'), maybe(given, 'cellAmpHours')];
    const pack = [maybe(given, 'packVolts'), maybe(given, 'packAmpHours')];
    const whole = (x: (number | undefined)[]) => x.every((v) => v !== undefined);
    const isPack = whole(pack);
    demand(isPack || whole(cell), 'give volts and amp hours of a cell or of a pack', '/cellVolts');
    const [v = 0, ah = 0] = isPack ? pack : cell;
    const wattHours = tidy(v * ah);
    const cellWh = whole(cell) ? tidy((cell[0] ?? 0) * (cell[1] ?? 0)) : undefined;
    return {
      values: {
        wattHours,
        ...(isPack ? { overPackThreshold: wattHours > PACK_WH } : {}),
        ...(cellWh === undefined ? {} : { overCellThreshold: cellWh > CELL_WH }),
      },
      formula: `${show(v)} V · ${show(ah)} Ah = ${show(wattHours)} Wh; threshold ${isPack ? PACK_WH : CELL_WH} Wh for a ${isPack ? 'pack' : 'cell'}`,
      caution: 'A swollen, dented or hot one is not sent at all. The carrier and current rules decide.',
    };
  },
  example: {
    given: { packVolts: 36, packAmpHours: 10 },
    answer: { wattHours: 360, overPackThreshold: true },
  },
};
