import { CHEMISTRY_ROWS, restSpan, seriesSaid, voltsSaid } from '../../core/chemistry';
import type { HazardKind } from '../../core/unit';
import { SelectField, TextField } from '../../ui/Field';
import { cellsSaid, chemistryOf, type Row } from './describe-form';
import type { Failure } from './send';

/** What the pack reads at rest, so that a wrong number of cells is seen; nothing where none can be read. */
function restWords(r: Row, hazards: readonly HazardKind[]): string | undefined {
  const volts = voltsSaid(r.name);
  if (!r.cells.trim() && volts !== undefined && seriesSaid(r.name, chemistryOf(r, hazards)) === undefined)
    return `${volts}\u00a0V is no whole number of these: choose the chemistry, or say how many`;
  const cells = r.cells.trim() ? Number(r.cells) : cellsSaid(r, hazards);
  if (!Number.isInteger(cells) || cells < 1) return undefined;
  const [empty, full] = restSpan(chemistryOf(r, hazards), cells);
  return `${cells} in series: ${empty}\u00a0V empty, ${full}\u00a0V full`;
}

/** Packs among the rows: their leads, so that the right one goes first, and their cells, so that a rest voltage says how full they are. */
export function DescribedPacks({
  rows,
  hazards,
  onRows,
  failure,
}: {
  rows: Row[];
  /** what can hurt in the unit */
  hazards: readonly HazardKind[];
  onRows(rows: Row[]): void;
  failure: Failure | null;
}) {
  const put = (i: number, more: Partial<Row>) =>
    onRows(rows.map((r, k) => (k === i ? { ...r, ...more } : r)));
  return rows.map((r, i) =>
    r.kind === 'battery' ? (
      <fieldset
        key={r.key}
        className="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)_130px] max-[760px]:grid-cols-1 gap-4 max-w-[860px]"
      >
        <legend className="sec pb-1">
          Pack {r.mark} {r.name !== 'battery' && r.name}
        </legend>
        <TextField
          label={`Leads of ${r.mark}, the power lead first`}
          placeholder="main lead, balance lead"
          value={r.leads}
          onChange={(e) => put(i, { leads: e.target.value })}
          hint="as you will call them when you unplug them; empty where they are soldered"
          autoComplete="off"
        />
        <SelectField
          label={`Chemistry of ${r.mark}`}
          value={chemistryOf(r, hazards).chemistry}
          onChange={(e) => put(i, { chemistry: e.target.value })}
        >
          {CHEMISTRY_ROWS.map((c) => (
            <option key={c.chemistry}>{c.chemistry}</option>
          ))}
        </SelectField>
        <TextField
          label="In series"
          inputMode="numeric"
          value={r.cells}
          placeholder={String(cellsSaid(r, hazards))}
          hint={restWords(r, hazards)}
          onChange={(e) => put(i, { cells: e.target.value })}
          wrong={failure?.path === `/rows/${i}/cells` ? failure.reason : undefined}
          autoComplete="off"
        />
      </fieldset>
    ) : null,
  );
}
