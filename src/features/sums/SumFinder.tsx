import { Command } from 'cmdk';
import { useEffect } from 'react';
import type { Found } from '../../core/search';
import { SUM_DRAWERS, sumsOver } from '../../core/sums';
import { Second } from '../../ui/Action';
import { useChemistry } from '../batteries/use-chemistry';
import type { SumAsked } from './open-sum';
import { SumCard } from './SumCard';
import { useFound } from './use-found';

/** Begins the value of what the server found. */
const FOUND = 'found ';

/** Every word typed has to stand in the sum; in its title counts most. */
function rank(value: string, search: string, keywords: string[] = []): number {
  // The server found it, by words that may stand anywhere in it.
  if (value.startsWith(FOUND)) return 2;
  const title = value.toLowerCase();
  const rest = keywords.join(' ').toLowerCase();
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.every((w) => title.includes(w) || rest.includes(w))) return 0;
  return words.every((w) => title.includes(w)) ? 1 : 0.5;
}

const KINDS = [
  { kind: 'job', heading: 'Jobs', path: (id: string) => `/jobs/${id}` },
  { kind: 'unit', heading: 'Units', path: (id: string) => `/units/${id}` },
  { kind: 'part', heading: 'In the store', path: (id: string) => `/stores?item=${id}` },
] as const;

/** Words with those that were found marked. */
function Where({ text }: { text: string }) {
  return (
    <span className="note block">
      {text.split(/(‹[^›]*›)/).map((part, i) =>
        part.startsWith('‹') ? (
          // Pieces of one text stand in their place.
          // biome-ignore lint/suspicious/noArrayIndexKey: they have no other name
          <b key={i}>{part.slice(1, -1)}</b>
        ) : (
          part
        ),
      )}
    </span>
  );
}

/** Jobs and units that were found, above the sums. */
function FoundGroups({ found }: { found: Found[] }) {
  return KINDS.map(({ kind, heading, path }) => {
    const list = found.filter((f) => f.kind === kind);
    return list.length ? (
      <Command.Group key={kind} heading={heading}>
        {list.map((f) => (
          <Command.Item
            key={f.id}
            value={`${FOUND}${kind} ${f.id}`}
            onSelect={() => window.location.assign(path(f.id))}
          >
            <b>{f.title}</b> <span className="note">{f.about}</span>
            {f.where && <Where text={f.where} />}
          </Command.Item>
        ))}
      </Command.Group>
    ) : null;
  });
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
  const found = useFound(typed);
  const sum = sumsOver(rows).find((s) => s.name === asked.name);
  const title = sum?.title ?? 'Find';
  useEffect(() => onTitle(title), [title, onTitle]);
  return (
    <>
      {!sum && (
        <Command label="Find a job, a unit or a sum" className="finder" filter={rank}>
          <Command.Input
            placeholder="a job, a unit, a note, a sum"
            className="input"
            value={typed}
            onValueChange={onTyped}
            autoFocus
          />
          <Command.List>
            {found.length === 0 && (
              <Command.Empty className="note py-3">
                Nothing answers to that. Try the thing it is about, a tag, a mark, a word of a note.
              </Command.Empty>
            )}
            <FoundGroups found={found} />
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
