import { Command } from 'cmdk';
import { useEffect } from 'react';
import { SUM_DRAWERS, sumsOver } from '../../core/sums';
import { Second } from '../../ui/Action';
import { useChemistry } from '../batteries/use-chemistry';
import type { SumAsked } from './open-sum';
import { SumCard } from './SumCard';

/** Every word typed has to stand in the sum; in its title counts most. */
function rank(value: string, search: string, keywords: string[] = []): number {
  const title = value.toLowerCase();
  const rest = keywords.join(' ').toLowerCase();
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.every((w) => title.includes(w) || rest.includes(w))) return 0;
  return words.every((w) => title.includes(w)) ? 1 : 0.5;
}

/** The cabinet of sums over any view: found by typing, opened from where it is needed. */
export function SumFinder({
  asked,
  typed,
  onTyped,
  onAsk,
  onTitle,
  onKeep,
}: {
  asked: SumAsked;
  typed: string;
  onTyped(text: string): void;
  /** another sum, or the finder again */
  onAsk(asked: SumAsked): void;
  /** what the sheet is called now */
  onTitle(title: string): void;
  onKeep?: ((text: string) => string | null) | undefined;
}) {
  const [{ rows }] = useChemistry();
  const sum = sumsOver(rows).find((s) => s.name === asked.name);
  const title = sum?.title ?? 'Bench sums';
  useEffect(() => onTitle(title), [title, onTitle]);
  return (
    <>
      {!sum && (
        <Command label="Find a sum" className="finder" filter={rank}>
          <Command.Input
            placeholder="current, awg, ferrule, rs-232"
            className="input"
            value={typed}
            onValueChange={onTyped}
            autoFocus
          />
          <Command.List>
            <Command.Empty className="note py-3">
              No sum answers to that. Try the thing it is about.
            </Command.Empty>
            {SUM_DRAWERS.map((d) => (
              <Command.Group key={d.title} heading={d.title}>
                {d.sums.map((s) => (
                  <Command.Item
                    key={s.name}
                    value={`${s.title} ${s.name}`}
                    keywords={[...(s.also ?? []), s.about]}
                    onSelect={() => onAsk({ name: s.name })}
                  >
                    <b>{s.title}</b> <span className="note">{s.about}</span>
                  </Command.Item>
                ))}
              </Command.Group>
            ))}
          </Command.List>
        </Command>
      )}
      {sum && (
        <div className="grid gap-4">
          <SumCard key={sum.name} sum={sum} begin={asked.begin} onKeep={onKeep} />
          <Second small className="justify-self-start" onClick={() => onAsk({})}>
            Another sum
          </Second>
        </div>
      )}
    </>
  );
}
