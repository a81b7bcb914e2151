import { useState } from 'react';
import type { MinutesLearned } from '../../core/record';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { useFetched } from '../sheet/use-fetched';
import { send } from '../units/send';
import { minutes, Table } from './Figures';

interface Learned {
  version: number;
  minutes: MinutesLearned[];
}

/** Minutes the record has for a model, beside those on its map; they stand on the map where somebody says so. */
export function LearnedMinutes({ units }: { units: { id: string; name: string }[] }) {
  const [unit] = units;
  const [chosen, setChosen] = useState<string[]>([]);
  const [before, setBefore] = useState<MinutesLearned[] | null>(null);
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const id = unit?.id ?? '';
  const { data: learned, away, again } = useFetched<Learned>(id ? `/api/units/${id}/minutes` : null);
  if (!unit)
    return (
      <section aria-label="Minutes of the map">
        <h2 className="sec pb-1">Minutes of the map</h2>
        <p className="note">No map of this model is on the shelf any more.</p>
      </section>
    );
  const key = (m: MinutesLearned) => `${m.what} ${m.key}`;
  const put = async (list: MinutesLearned[], undo: MinutesLearned[] | null) => {
    if (!learned) return;
    setBusy(true);
    const sent = await send(`/api/units/${id}/minutes`, {
      version: learned.version,
      minutes: list.map(({ what, key, learned: m }) => ({ what, key, minutes: m })),
    });
    setBusy(false);
    setWrong(sent.ok ? '' : sent.failure.reason);
    if (!sent.ok) return;
    setBefore(undo);
    setChosen([]);
    await again();
  };
  const list = learned?.minutes ?? [];
  const picked = list.filter((m) => chosen.includes(key(m)));
  return (
    <section aria-label="Minutes of the map">
      <h2 className="sec pb-1">Minutes of the map</h2>
      <p className="note pb-1">
        What the map of {unit.name} reckons with, and the middle of what it took here. What is ticked stands
        on the map from now on; jobs in hand keep theirs.
      </p>
      {learned && list.length === 0 && (
        <p className="note">Nothing differs: five jobs with a thing are needed before it has a figure.</p>
      )}
      {list.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th scope="col">take</th>
              <th scope="col">what</th>
              <th scope="col">the map</th>
              <th scope="col">here</th>
              <th scope="col">jobs</th>
            </tr>
          </thead>
          <tbody>
            {list.map((m) => (
              <tr key={key(m)}>
                <td>
                  <input
                    type="checkbox"
                    className="size-6 accent-bark"
                    aria-label={`Take ${minutes(m.learned)} for ${m.words}`}
                    checked={chosen.includes(key(m))}
                    onChange={() =>
                      setChosen((c) => (c.includes(key(m)) ? c.filter((x) => x !== key(m)) : [...c, key(m)]))
                    }
                  />
                </td>
                <td>{m.words}</td>
                <td>{minutes(m.now)}</td>
                <td>
                  <b>{minutes(m.learned)}</b>
                </td>
                <td>{m.count}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {away && <Wrong>They did not come: the server does not answer. Show this again later.</Wrong>}
      {wrong && <Wrong>{wrong}</Wrong>}
      <p className="flex flex-wrap gap-3 pt-2">
        {picked.length > 0 && (
          <Second
            small
            disabled={busy}
            onClick={() =>
              put(
                picked,
                picked.map((m) => ({ ...m, learned: m.now, now: m.learned })),
              )
            }
          >
            {busy ? 'Taking them' : `Take ${picked.length} onto the map`}
          </Second>
        )}
        {before && (
          <Second small disabled={busy} onClick={() => put(before, null)}>
            Undo: the map as it was
          </Second>
        )}
      </p>
    </section>
  );
}
