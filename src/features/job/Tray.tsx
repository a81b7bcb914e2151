import { useEffect, useMemo, useRef, useState } from 'react';
import { firstTwins, type Item, placeTag, specOf, tally, threadMm } from '../../core/ledger';
import { PartPicture } from '../../ui/PartPicture';
import { FreePlace, Place, type PlaceLook } from '../../ui/Place';
import { Screw } from '../../ui/Screw';
import { ScrollRow } from '../../ui/ScrollRow';
import { QuickPicture } from '../photos/QuickPicture';
import { ItemDialog } from './ItemDialog';
import { useJob } from './use-job';

/** How an item stands, as the edge of its place shows it. */
export function lookOf(item: Item): PlaceLook {
  const t = tally(item);
  if (item.missing) return 'missing';
  if (t.off === 0) return 'back';
  return t.back > 0 ? 'coming back' : 'off';
}

const placeName = (item: Item) => placeTag(item.place);

function figures(item: Item): { figure: string; word: string } {
  const t = tally(item);
  if (item.count === null) return { figure: '?', word: 'several' };
  if (item.missing) return { figure: String(t.off - item.missing), word: `of ${t.taken}` };
  if (t.off === 0) return { figure: '', word: t.writtenOff === t.taken ? 'gone' : 'back' };
  if (t.back > 0) return { figure: String(t.back), word: `of ${t.taken} back` };
  return { figure: String(t.off), word: item.by.aside ? 'aside' : 'off' };
}

/** Of every item that must not be taken for another one: the spec of that one, with its place. */
function twinWords(items: Item[]): Map<string, string> {
  return new Map(
    [...firstTwins(items)].map(([id, o]) => [id, `not ${o.thread}×${o.lengthMm}, ${placeName(o)}`]),
  );
}

/** Places that stand side by side at once; of more, those about the one in hand. */
const MOST_PLACES = 60;

function Further({ count, onShow }: { count: number; onShow(): void }) {
  return (
    <button type="button" className="act-2 small self-center whitespace-nowrap" onClick={onShow}>
      {count} more {count === 1 ? 'place' : 'places'}
    </button>
  );
}

export function ItemPicture({
  item,
}: {
  item: Pick<Item, 'kind' | 'thread' | 'lengthMm' | 'drive' | 'count'> &
    Partial<Pick<Item, 'by' | 'writtenOff'>>;
}) {
  if (item.kind !== 'fastener') return <PartPicture kind={item.kind} />;
  const back =
    item.by && item.writtenOff
      ? tally({ count: item.count, by: item.by, writtenOff: item.writtenOff }).back
      : 0;
  return (
    <Screw
      thread={item.thread}
      lengthMm={item.lengthMm}
      drive={item.drive}
      count={item.count ?? 3}
      back={back}
      diameterMm={item.thread ? threadMm(item.thread) : null}
    />
  );
}

const lying = (items: Item[], folded: boolean): string => {
  const off = items.filter((i) => tally(i).off > 0);
  const last = off.at(-1);
  if (!last) return items.length ? 'all back' : 'nothing is off';
  const used = `${off.length} ${off.length === 1 ? 'place' : 'places'} in use`;
  return folded ? `${used}, last ${placeName(last)}` : used;
};

/**
 * Everything that is off the unit, where it lies, first off at the left. It is in every view of a job;
 * with nothing in it, and where the view is narrow, it folds to its strip.
 */
export function Tray() {
  const { job, stop } = useJob();
  const [unfolded, setUnfolded] = useState<boolean | null>(null);
  useEffect(() => {
    if (window.matchMedia('(max-width: 760px)').matches) setUnfolded(false);
  }, []);
  const [open, setOpen] = useState<string | null>(null);
  // The code on a label opens its thing.
  useEffect(() => setOpen(new URLSearchParams(window.location.search).get('item')), []);
  const items = job.ledger.items.filter((i) => !i.fresh);
  const alike = useMemo(() => twinWords(job.ledger.items.filter((i) => !i.fresh)), [job.ledger.items]);
  const homeward = stop === 'close up';
  const folded = items.length === 0 || !(unfolded ?? items.some((i) => tally(i).off > 0));
  const item = items.find((i) => i.id === open);
  // The place that was filled last, or that is emptied next, is in sight.
  const inHand = items.findLastIndex((i) => tally(i).off > 0);
  const [all, setAll] = useState(false);
  const from = all ? 0 : Math.max(0, Math.min(inHand - MOST_PLACES / 2, items.length - MOST_PLACES));
  const shown = all ? items : items.slice(from, from + MOST_PLACES);
  const beyond = items.length - from - shown.length;
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const place = row.current?.children[inHand - from + (from > 0 ? 1 : 0)];
    if (!folded && place instanceof HTMLElement && row.current)
      row.current.scrollLeft = place.offsetLeft + 2 * place.offsetWidth - row.current.clientWidth;
  }, [inHand, from, folded]);
  return (
    <section className="tray" aria-labelledby="tray-title" data-folded={folded || undefined}>
      <div className="tray-lip">
        <span>
          <h2 id="tray-title">The Tray</h2>
          {items.length > 0 && (homeward ? 'Last off, first on' : 'First off at the left')}
        </span>
        {items.length === 0 ? (
          <span>{lying(items, folded)}</span>
        ) : (
          <button type="button" aria-expanded={!folded} onClick={() => setUnfolded(folded)}>
            <span className="truncate min-w-0">{lying(items, folded)}</span>
            <svg width="12" height="8" viewBox="0 0 12 8" aria-hidden="true">
              <path
                d={folded ? 'M1 7 6 2 11 7' : 'M1 1 6 6 11 1'}
                fill="none"
                stroke="currentColor"
                strokeWidth="2"
              />
            </svg>
          </button>
        )}
        <QuickPicture />
      </div>
      {!folded && (
        <ScrollRow className="tray-row" label="Places of the tray" at={row}>
          {from > 0 && <Further count={from} onShow={() => setAll(true)} />}
          {shown.map((i) => {
            const { figure, word } = figures(i);
            return (
              <Place
                key={i.id}
                kind={i.place.kind}
                label={i.place.label}
                look={lookOf(i)}
                figure={figure}
                word={i.missing ? <span className="text-brick">{word}</span> : word}
                picture={<ItemPicture item={i} />}
                spec={specOf(i)}
                from={
                  i.missing
                    ? `${i.missing} missing`
                    : (i.from ?? (i.contacts ? `${i.contacts} contacts` : undefined))
                }
                twin={alike.get(i.id)}
                onOpen={() => setOpen(i.id)}
                spoken={`${placeName(i)}: ${figure} ${word}, ${specOf(i)}${i.from ? `, ${i.from}` : ''}${i.missing ? `, ${i.missing} missing` : ''}`}
              />
            );
          })}
          {beyond > 0 && <Further count={beyond} onShow={() => setAll(true)} />}
          <FreePlace>
            next off
            <br />
            goes here
          </FreePlace>
          {items.length < 6 &&
            Array.from({ length: 6 - items.length }, (_, i) => i).map((i) => <FreePlace key={i} />)}
        </ScrollRow>
      )}
      {item && <ItemDialog item={item} onClose={() => setOpen(null)} />}
    </section>
  );
}
