import type { UnitMap } from '../../../core/unit';
import { TextField } from '../../../ui/Field';

/** What the unit is called, and where it stands. */
export function MapNames({
  map,
  place,
  onName,
  onPlace,
}: {
  map: UnitMap;
  place: string;
  onName(which: 'name' | 'maker' | 'model', text: string): void;
  onPlace(text: string): void;
}) {
  return (
    <div className="pad grid grid-cols-4 max-[900px]:grid-cols-2 gap-4">
      {(['name', 'maker', 'model'] as const).map((k) => (
        <TextField
          key={k}
          label={{ name: 'What it is', maker: 'Maker', model: 'Model' }[k]}
          value={map[k]}
          onChange={(e) => onName(k, e.target.value)}
          wrong={k === 'name' && !map.name.trim() ? 'give the unit a name' : undefined}
          autoComplete="off"
        />
      ))}
      <TextField
        label="Where it stands"
        value={place}
        onChange={(e) => onPlace(e.target.value)}
        autoComplete="off"
      />
    </div>
  );
}
