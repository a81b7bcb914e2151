import { CHEMISTRY_ROWS, type ChemistryClass, type ChemistryRow, rowOfClass } from '../../chemistry';
import { demand } from '../../refusal';

/** One kind of cell and what can be held in it. Bands from published cell data, from memory. */
export interface CellKind {
  what: string;
  /** usual energy density, Wh/L */
  typical: [low: number, high: number];
  /** beyond this a claim is not credible, Wh/L */
  ceiling: number;
  /** fixed forms: their volume, and the most that has been made, Ah */
  form?: { volumeMl: number; typicalAh: [number, number]; mostAh: number };
  /** pouches under this volume lose more to their packaging */
  smallUnderMl?: number;
  small?: { typical: [number, number]; ceiling: number };
}

const round = (diameterMm: number, heightMm: number) =>
  (Math.PI / 4) * (diameterMm / 10) ** 2 * (heightMm / 10);

/** Round cells, in the sizes that are made. Bands of published cell data, from memory. */
const ROUND: CellKind[] = [
  {
    what: '18650',
    typical: [450, 750],
    ceiling: 800,
    form: { volumeMl: round(18, 65), typicalAh: [2, 3.6], mostAh: 3.6 },
  },
  {
    what: '21700',
    typical: [500, 800],
    ceiling: 880,
    form: { volumeMl: round(21, 70), typicalAh: [4, 5.8], mostAh: 5.8 },
  },
  {
    what: 'CR2032',
    typical: [600, 720],
    ceiling: 720,
    form: { volumeMl: round(20, 3.2), typicalAh: [0.21, 0.24], mostAh: 0.24 },
  },
];

/** Kinds whose band is that of a chemistry: the same rows that batteries are compared with. */
const BY_CLASS: Record<string, ChemistryClass> = {
  'li-ion pouch': 'li-ion',
  LFP: 'LFP',
  NiMH: 'NiMH',
  AGM: 'lead-acid',
};
export const CELL_WHATS = [...Object.keys(BY_CLASS), ...ROUND.map((c) => c.what)];

function kindOf(what: string, rows: ChemistryRow[]): CellKind | undefined {
  const row = rowOfClass(rows, BY_CLASS[what]);
  if (!row) return ROUND.find((c) => c.what === what);
  const { small } = row;
  return {
    what,
    typical: [row.usualFrom, row.usualTo],
    ceiling: row.credibleTo,
    ...(small
      ? {
          smallUnderMl: small.underMl,
          small: { typical: [small.usualFrom, small.usualTo], ceiling: small.credibleTo },
        }
      : {}),
  };
}

/**
 * Band and ceiling for a kind of cell of a volume.
 *
 * @param what kind, one of {@link CELL_WHATS}
 * @param volumeMl millilitres
 * @param rows chemistry in force
 * @returns Wh/L
 * @throws Refusal when the kind is not known
 * @example bandOf('li-ion pouch', 3).ceiling // 800
 */
export function bandOf(
  what: string,
  volumeMl: number,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): { kind: CellKind; typical: [number, number]; ceiling: number } {
  const kind = kindOf(what, rows);
  demand(kind, `${what} is none of ${CELL_WHATS.join(', ')}`, '/what');
  const small = kind.small && kind.smallUnderMl !== undefined && volumeMl < kind.smallUnderMl;
  return { kind, ...(small && kind.small ? kind.small : { typical: kind.typical, ceiling: kind.ceiling }) };
}
