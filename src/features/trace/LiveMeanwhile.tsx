import { type Hazard, hazardsOf, type MapCheck, type UnitMap, whileLive } from '../../core/unit';
import { Warn } from '../../ui/Signs';

const named = (hazards: readonly Hazard[]) => hazards.map((h) => `${h.name}, ${h.detail}`).join('; ');

/** What is live while a check is done, and what to mind meanwhile. */
export function LiveMeanwhile({ map, check }: { map: UnitMap; check: MapCheck }) {
  const { live, there, mind } = whileLive(hazardsOf(map, check), check.how);
  if (live.length + there.length === 0) return null;
  return (
    <p className="flex gap-2 text-brick font-[600] text-[14px]">
      <Warn />
      <span>
        {live.length > 0 && `${named(live)}: live while you do this. ${mind.join(' ')} `}
        {there.length > 0 && `${named(there)}.`}
      </span>
    </p>
  );
}
