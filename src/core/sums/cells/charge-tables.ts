import { demand } from '../../refusal';

/** Rest voltage of one chemistry over its charge. */
export interface ChargeTable {
  chemistry: string;
  /** volts and percent, falling */
  points: [volts: number, percent: number][];
  /** hours at rest before the voltage tells anything */
  restHours: number;
  /** how far a meter and a rest may be off, V */
  doubt: number;
}

/** Rest voltages at 25 °C. All from memory, as published for each chemistry; a maker’s table comes first. */
export const CHARGE_TABLES: ChargeTable[] = [
  {
    chemistry: 'lead-acid 12 V',
    restHours: 4,
    doubt: 0.03,
    points: [
      [12.73, 100],
      [12.62, 90],
      [12.5, 80],
      [12.37, 70],
      [12.24, 60],
      [12.1, 50],
      [11.96, 40],
      [11.81, 30],
      [11.66, 20],
      [11.51, 10],
      [10.5, 0],
    ],
  },
  {
    chemistry: 'AGM 12 V',
    restHours: 4,
    doubt: 0.03,
    points: [
      [12.85, 100],
      [12.75, 90],
      [12.65, 80],
      [12.5, 70],
      [12.35, 60],
      [12.2, 50],
      [12.05, 40],
      [11.9, 30],
      [11.75, 20],
      [11.6, 10],
      [10.5, 0],
    ],
  },
  {
    chemistry: 'li-ion cell',
    restHours: 1,
    doubt: 0.01,
    points: [
      [4.2, 100],
      [4.06, 90],
      [3.98, 80],
      [3.92, 70],
      [3.87, 60],
      [3.82, 50],
      [3.79, 40],
      [3.77, 30],
      [3.74, 20],
      [3.68, 10],
      [3.45, 5],
      [3, 0],
    ],
  },
  {
    chemistry: 'LFP cell',
    restHours: 2,
    doubt: 0.01,
    points: [
      [3.5, 100],
      [3.34, 95],
      [3.33, 80],
      [3.31, 65],
      [3.3, 50],
      [3.28, 40],
      [3.26, 30],
      [3.22, 20],
      [3.15, 10],
      [2.5, 0],
    ],
  },
  {
    chemistry: 'NiMH cell',
    restHours: 2,
    doubt: 0.01,
    points: [
      [1.42, 100],
      [1.33, 85],
      [1.3, 70],
      [1.28, 50],
      [1.26, 30],
      [1.23, 15],
      [1.18, 5],
      [1, 0],
    ],
  },
];
export const CHEMISTRIES = CHARGE_TABLES.map((t) => t.chemistry);

/**
 * The table of a chemistry.
 *
 * @throws Refusal when it is not known
 * @example chargeTable('li-ion cell').restHours // 1
 */
export function chargeTable(chemistry: string): ChargeTable {
  const table = CHARGE_TABLES.find((t) => t.chemistry === chemistry);
  demand(table, `${chemistry} is none of ${CHEMISTRIES.join(', ')}`, '/chemistry');
  return table;
}

/**
 * Percent at a rest voltage, interpolated between the points of a table. Over the top it is 100 and
 * under the end 0: whoever shows it says so.
 *
 * @example percentAt(chargeTable('li-ion cell'), 3.845) // 55
 */
export function percentAt(table: ChargeTable, volts: number): number {
  const { points } = table;
  const [top] = points;
  if (top && volts >= top[0]) return 100;
  for (let i = 1; i < points.length; i++) {
    const [v1, p1] = points[i - 1] as [number, number];
    const [v0, p0] = points[i] as [number, number];
    if (volts >= v0) return p0 + ((volts - v0) / (v1 - v0)) * (p1 - p0);
  }
  return 0;
}
