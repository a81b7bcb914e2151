import { ulid } from 'ulid';
import { CHEMISTRY_ROWS, type ChemistryRow, chemistrySaid, restSpan, seriesSaid } from '../../core/chemistry';
import { demand, Refusal } from '../../core/refusal';
import {
  type Description,
  type ElementKind,
  type HazardKind,
  parseReading,
  type TapHow,
  usualTolerance,
} from '../../core/unit';

/** One row as it is typed. */
export interface Row {
  /** tells it from the others while it is typed */
  key: string;
  mark: string;
  name: string;
  kind: ElementKind;
  outside: boolean;
  tap: string;
  how: TapHow;
  should: string;
  tolerance: string;
  unit: string;
  inside: boolean;
  /** the cover it lies under, where there are several */
  under: string;
  /** of a battery */
  leads: string;
  /** empty: what its name says */
  chemistry: string;
  cells: string;
}

/** A unit not met before, as it is typed. */
export interface Form {
  name: string;
  maker: string;
  model: string;
  place: string;
  does: string;
  cover: string;
  coverMinutes: string;
  hazards: HazardKind[];
  rows: Row[];
}

/** A row as it begins: nothing is written in it; left so, it is called by its kind. */
export const row = (mark: string, kind: ElementKind): Row => ({
  key: ulid(),
  mark,
  name: '',
  kind,
  // What somebody sets is reached without a tool, most often.
  outside: kind === 'setting',
  tap: '',
  how: 'measure',
  should: '',
  tolerance: '',
  unit: 'V',
  inside: true,
  under: '',
  leads: '',
  chemistry: '',
  cells: '',
});
export const BLANK: Form = {
  name: '',
  maker: '',
  model: '',
  place: '',
  does: '',
  cover: 'cover',
  coverMinutes: '3',
  hazards: [],
  rows: [row('J1', 'connector'), row('W1', 'cable'), row('A1', 'board')],
};
/** The chemistry of a battery: as chosen, or as its name and what can hurt in the unit say. */
export const chemistryOf = (r: Row, hazards: readonly HazardKind[]): ChemistryRow => {
  const wanted = r.chemistry || chemistrySaid(r.name, hazards.includes('cell pack'));
  const row = CHEMISTRY_ROWS.find((c) => c.chemistry === wanted);
  demand(row, `“${wanted}” is no chemistry that is known here`, '/rows');
  return row;
};

/** Cells in series where none are typed: as its name says, or one. */
export const cellsSaid = (r: Row, hazards: readonly HazardKind[]): number =>
  seriesSaid(r.name, chemistryOf(r, hazards)) ?? 1;

/** A figure that was typed, or the message that says which one is none. */
const number = (text: string, path: string, what?: string): number => {
  try {
    return parseReading(text);
  } catch (error) {
    const reason = error instanceof Refusal ? error.message : String(error);
    throw new Refusal(what ? `${what}: ${reason}` : reason, path);
  }
};

/**
 * How far the point of a row may be off where it is not typed; undefined where nothing can be said of it. What a lead
 * brings from a pack lies between empty and full, as the pack does.
 */
export function toleranceSaid(
  r: Row,
  { rows, hazards }: { rows: readonly Row[]; hazards: readonly HazardKind[] },
): number | undefined {
  try {
    const pack = r.kind === 'battery' ? r : r.kind === 'cable' && rows.find((b) => b.kind === 'battery');
    const cells = pack && (pack.cells.trim() ? Number(pack.cells) : cellsSaid(pack, hazards));
    const span =
      pack && cells && r.unit.trim() === 'V' ? restSpan(chemistryOf(pack, hazards), cells) : undefined;
    return usualTolerance(parseReading(r.should), span);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}

/** The typed form as the core's description, with readings read. */
export function descriptionOf(f: Form): Description {
  return {
    name: f.name,
    maker: f.maker,
    model: f.model,
    does: f.does,
    cover: f.cover,
    coverMinutes: f.cover.trim() ? number(f.coverMinutes, '/coverMinutes') : 0,
    hazards: f.hazards,
    rows: f.rows.map((r, i) => ({
      id: r.mark.trim(),
      name: r.name.trim() || r.kind,
      kind: r.kind,
      ...(r.outside ? { outside: true } : {}),
      ...(r.under ? { under: r.under } : {}),
      ...(r.kind === 'battery'
        ? {
            leads: r.leads
              .split(',')
              .map((l) => l.trim())
              .filter(Boolean),
            chemistry: chemistryOf(r, f.hazards).chemistry,
            cells: r.cells.trim() ? number(r.cells, `/rows/${i}/cells`) : cellsSaid(r, f.hazards),
          }
        : {}),
      ...(r.tap.trim()
        ? {
            tap: {
              id: r.tap.trim(),
              how: r.how,
              inside: r.inside,
              ...(r.how === 'measure'
                ? {
                    nominal: number(r.should, `/rows/${i}/tap/nominal`, `what ${r.tap.trim()} should read`),
                    tolerance:
                      (r.tolerance.trim() ? undefined : toleranceSaid(r, f)) ??
                      number(r.tolerance, `/rows/${i}/tap/tolerance`, `how far ${r.tap.trim()} may be off`),
                    unit: r.unit,
                  }
                : {}),
            },
          }
        : {}),
    })),
  };
}
