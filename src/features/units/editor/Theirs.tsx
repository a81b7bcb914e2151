import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import type { EditedUnit } from './edited-unit';
import { SHEETS } from './sheets/index';

/** Somebody saved in between: where both differ, and which is to stand. */
export function Theirs({
  mine,
  theirs,
  onTake,
  onKeep,
}: {
  mine: UnitMap;
  theirs: EditedUnit;
  onTake(): void;
  onKeep(): void;
}) {
  return (
    <div className="flex flex-wrap gap-2 items-center">
      <span className="note">{differences(mine, theirs.map)}</span>
      <Second small onClick={onTake}>
        Take theirs, drop mine
      </Second>
      <Second small onClick={onKeep}>
        Keep mine over theirs
      </Second>
    </div>
  );
}

/** In which lists two maps differ. */
function differences(mine: UnitMap, other: UnitMap): string {
  const apart = SHEETS.filter((s) => JSON.stringify(mine[s.id] ?? []) !== JSON.stringify(other[s.id] ?? []));
  const lists = apart.map((s) => `${s.title.toLowerCase()} (${s.count(mine)} here, ${s.count(other)} there)`);
  return lists.length
    ? `Yours and theirs differ in ${lists.join(', ')}.`
    : 'Yours and theirs differ in names only.';
}
