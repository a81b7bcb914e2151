import { useState } from 'react';
import { FIND_IT, type Wanted } from '../../core/practice';
import { Second } from '../../ui/Action';
import { SelectField, Wrong } from '../../ui/Field';
import type { UnitKnown } from './Practice';
import { start } from './start';

/** Three exercises with the unit of the next visit. */
const THREE: { name: string; about: string; wanted: Omit<Wanted, 'unit'> }[] = [
  {
    name: 'Its likeliest fault',
    about: 'what its map says fails most often',
    wanted: { kind: FIND_IT, likeliest: true },
  },
  { name: 'Its worst mix-up', about: 'the board with the most plugs', wanted: { kind: 'plugs back' } },
  { name: 'Its way in', about: 'and back, with its gates', wanted: { kind: 'what is missing' } },
];

/** Before a visit: any unit on the map, and what is likeliest to be met there. */
export function BeforeVisit({ units }: { units: UnitKnown[] }) {
  const [unit, setUnit] = useState(units[0]?.id ?? '');
  const [starting, setStarting] = useState('');
  const [wrong, setWrong] = useState<{ name: string; reason: string } | null>(null);
  return (
    <section className="pad border-t border-rule-strong grid gap-2" aria-label="Before a visit">
      <h2 className="sec">Before a visit</h2>
      {units.length === 0 ? (
        <p className="note">
          No unit is on the map yet. <a href="/units/new">Describe the one you are going to see</a>.
        </p>
      ) : (
        <>
          <SelectField
            label="To"
            value={unit}
            onChange={(e) => setUnit(e.target.value)}
            className="max-w-[420px]"
          >
            {units.map((u) => (
              <option key={u.id} value={u.id}>
                {u.name}
                {u.place && `, ${u.place}`}
              </option>
            ))}
          </SelectField>
          <ul>
            {THREE.map((t) => (
              <li
                key={t.name}
                className="grid grid-cols-[minmax(0,1fr)_auto] gap-3 items-center border-t border-rule py-1.5"
              >
                <span className="leading-[1.2]">
                  <b>{t.name}</b> <span className="note">{t.about}</span>
                  {wrong?.name === t.name && (
                    <span className="block">
                      <Wrong>{wrong.reason}</Wrong>
                    </span>
                  )}
                </span>
                <Second
                  aria-label={`Start: ${t.name}`}
                  disabled={starting !== ''}
                  onClick={async () => {
                    setStarting(t.name);
                    const failure = await start({ ...t.wanted, unit });
                    setStarting('');
                    setWrong(failure ? { name: t.name, reason: failure.reason } : null);
                  }}
                >
                  {starting === t.name ? 'Starting' : 'Start'}
                </Second>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
