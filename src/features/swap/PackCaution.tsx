import { rowOfClass } from '../../core/chemistry';
import { Warn } from '../../ui/Signs';
import { useChemistry } from '../batteries/use-chemistry';
import { useJob } from '../job/use-job';

/** The caution of a battery’s chemistry, where hands are about to take it. */
export function PackCaution() {
  const { job } = useJob();
  const [table] = useChemistry();
  const element = job.map.elements.find((e) => e.id === job.plan?.element);
  if (element?.kind !== 'battery') return null;
  const compared = job.batteries[element.id]?.request;
  const known = job.map.hazards.find((h) => h.on === element.id || h.id === element.id)?.charge?.chemistry;
  const row =
    rowOfClass(table.rows, compared?.new.chemistry ?? compared?.old.chemistry) ??
    table.rows.find((r) => r.chemistry === known);
  if (!row) return null;
  return (
    <p className="flex gap-2 text-brick font-[600]">
      <Warn />
      <span>
        {row.caution} <span className="font-[400] text-bark">The maker’s instructions come first.</span>
      </span>
    </p>
  );
}
