import { Tabs } from 'radix-ui';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Warn } from '../../../ui/Signs';
import type { Failure } from '../send';
import { EditTable } from './EditTable';
import type { Sheet } from './sheet';
import { SHEETS } from './sheets/index';

/** The lists of a map, a tab each. */
export function MapTables({
  map,
  open,
  onOpen,
  wrong,
  onChange,
}: {
  map: UnitMap;
  open: Sheet['id'];
  onOpen(id: Sheet['id']): void;
  wrong: Failure | null;
  onChange(map: UnitMap, at?: string): void;
}) {
  return (
    <Tabs.Root
      value={open}
      onValueChange={(v) => onOpen(v as Sheet['id'])}
      className="pad grid grid-cols-[minmax(0,1fr)] gap-3"
    >
      <Tabs.List className="tabs" aria-label="Lists of the map">
        {SHEETS.map((s) => (
          <Tabs.Trigger key={s.id} value={s.id}>
            {s.title} <b>{s.count(map)}</b>
            {wrong?.path.startsWith(`/${s.id}`) && <Warn size={14} />}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {SHEETS.map((s) => (
        <Tabs.Content key={s.id} value={s.id} className="grid grid-cols-[minmax(0,1fr)] gap-3">
          <EditTable sheet={s} map={map} wrong={wrong} onChange={onChange} />
          {s.id !== 'elements' && (
            <Second small className="justify-self-start" onClick={() => onChange(s.add(map))}>
              Add a row
            </Second>
          )}
          {s.below && <s.below map={map} onChange={onChange} />}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
