import { useEffect, useState } from 'react';
import { type Item, lookAlike, specOf, tally, threadMm, twins } from '../../core/ledger';
import { PartPicture } from '../../ui/PartPicture';
import { FreePlace, Place, type PlaceLook } from '../../ui/Place';
import { Screw } from '../../ui/Screw';
import { ScrollRow } from '../../ui/ScrollRow';
import { ItemDialog } from './ItemDialog';
import { useJob } from './use-job';

/** How an item stands, as the edge of its place shows it. */
export function lookOf(item: Item): PlaceLook {
  const t = tally(item);
  if (item.missing) return 'missing';
  if (t.off === 0) return 'back';
  return t.back > 0 ? 'coming back' : 'off';
}

const placeName = (item: Item) => [item.place.kind, item.place.label].filter(Boolean).join(' ');

function figures(item: Item): { figure: string; word: string } {
  const t = tally(item);
  if (item.count === null) return { figure: '?', word: 'several' };
  if (item.missing) return { figure: String(t.off - item.missing), word: `of ${t.taken}` };
  if (t.off === 0) return { figure: '', word: t.writtenOff === t.taken ? 'gone' : 'back' };
  if (t.back > 0) return { figure: String(t.back), word: `of ${t.taken} back` };
  return { figure: String(t.off), word: item.by.aside ? 'aside' : 'off' };
}

/** The spec of the item this one must not be taken for, with its place. */
function twinOf(item: Item, items: Item[]): string | undefined {
  const pair = twins(items).find((p) => p.a === item.id || p.b === item.id);
  const other = items.find((i) => i.id === (pair?.a === item.id ? pair?.b : pair?.a));
  return other && lookAlike(item, other)
    ? `not ${other.thread}×${other.lengthMm}, ${placeName(other)}`
    : undefined;
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

/** Everything that is off the unit, where it lies, first off at the left. It is in every view of a job. */
export function Tray() {
  const { job, stop } = useJob();
  const [open, setOpen] = useState<string | null>(null);
  // The code on a label opens its thing.
  useEffect(() => setOpen(new URLSearchParams(window.location.search).get('item')), []);
  const items = job.ledger.items.filter((i) => !i.fresh);
  const homeward = stop === 'close up';
  const off = items.filter((i) => tally(i).off > 0).length;
  const item = items.find((i) => i.id === open);
  return (
    <section className="tray" aria-labelledby="tray-title">
      <div className="tray-lip">
        <span>
          <h2 id="tray-title">The Tray</h2>
          {homeward ? 'Last off, first on' : 'First off at the left'}
        </span>
        <span>
          {off === 0
            ? items.length
              ? 'all back'
              : 'nothing is off'
            : `${off} ${off === 1 ? 'place' : 'places'} in use`}
        </span>
      </div>
      <ScrollRow className="tray-row" label="Places of the tray">
        {items.map((i) => {
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
              twin={twinOf(i, items)}
              onOpen={() => setOpen(i.id)}
              spoken={`${placeName(i)}: ${figure} ${word}, ${specOf(i)}${i.from ? `, ${i.from}` : ''}${i.missing ? `, ${i.missing} missing` : ''}`}
            />
          );
        })}
        <FreePlace>
          next off
          <br />
          goes here
        </FreePlace>
        {items.length < 6 &&
          Array.from({ length: 6 - items.length }, (_, i) => i).map((i) => <FreePlace key={i} />)}
      </ScrollRow>
      {item && <ItemDialog item={item} onClose={() => setOpen(null)} />}
    </section>
  );
}
