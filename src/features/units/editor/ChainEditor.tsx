import { useEffect, useState } from 'react';
import { addElement, connect, ELEMENT_KINDS, type UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { later } from '../../../ui/later';

/** The drawing board is fetched when the page is alive. */
const Canvas = later(
  () => import('./Canvas').then((m) => m.Canvas),
  () => <p className="pad note h-[300px]">Drawing the chain</p>,
);

/** The chain of a map, drawn: lines pulled and cut, elements added after the chosen one. */
export function ChainEditor({
  map,
  chosen,
  onChosen,
  onChange,
  attempt,
}: {
  map: UnitMap;
  chosen: string | null;
  onChosen(id: string | null): void;
  onChange(map: UnitMap): void;
  attempt(work: () => UnitMap): void;
}) {
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  return (
    <>
      {alive ? (
        <Canvas
          map={map}
          chosen={chosen}
          onConnect={(from, to) => attempt(() => connect(map, from, to))}
          onCut={(gone) => onChange({ ...map, feeds: map.feeds.filter((_, k) => !gone.includes(k)) })}
          onChoose={(id) => {
            onChosen(id);
          }}
        />
      ) : (
        <p className="pad note h-[300px]">Drawing the chain</p>
      )}
      <div className="pad flex flex-wrap gap-2 items-center border-b border-rule">
        <span className="note">{chosen ? `Add after ${chosen}:` : 'Add:'}</span>
        {ELEMENT_KINDS.map((kind) => (
          <Second
            key={kind}
            small
            onClick={() =>
              attempt(() => {
                const next = addElement(
                  map,
                  kind,
                  map.elements.some((e) => e.id === chosen) ? (chosen ?? undefined) : undefined,
                );
                onChosen(next.elements.at(-1)?.id ?? null);
                return next;
              })
            }
          >
            + {kind}
          </Second>
        ))}
        {chosen && (
          <Second small onClick={() => onChosen(null)}>
            not after {chosen}
          </Second>
        )}
      </div>
    </>
  );
}
