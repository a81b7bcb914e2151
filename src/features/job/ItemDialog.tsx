import { useState } from 'react';
import type { PhotoPin } from '../../core/job';
import { type Item, placeWords, specOf, tally } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { Altered, Different, Stash, WriteOff } from './ItemPanels';
import type { Refused } from './store';
import { useJob } from './use-job';

/** One thing of the tray: how it stands, and what can happen to it beside going home. */
export function ItemDialog({ item, onClose }: { item: Item; onClose(): void }) {
  const { job, record } = useJob();
  const t = tally(item);
  const shows = (pin: PhotoPin) => pin.item === item.id || pin.on.toLowerCase() === item.name.toLowerCase();
  const seen = job.photos.filter((p) => p.pins?.some(shows));
  const [count, setCount] = useState('1');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const done = (refused: Refused | null) => {
    setWrong(refused);
    if (!refused) onClose();
  };
  const n = Number(count);
  const panel = { item, wrong, onDone: done };
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  return (
    <Dialog open onClose={onClose} title={specOf(item)}>
      <p className="mb-4">
        {item.count === null
          ? 'Several, not counted'
          : `${t.taken} taken off, ${t.back} back, ${t.writtenOff} written off, ${t.off} still ${placeWords(item.place)}`}
        {item.from && `, from ${item.from}`}
        {item.missing ? `. ${item.missing} missing` : ''}.
      </p>
      {wrong && !['/count', '/reason', '/replacement'].includes(wrong.path) && (
        <div className="mb-3">
          <Wrong>{wrong.reason}</Wrong>
        </div>
      )}
      {seen.length > 0 && (
        <ul className="flex flex-wrap gap-3 mb-4" aria-label="Pictures of it">
          {seen.map((p) => (
            <li key={p.id} className="w-[120px] note leading-[1.2]">
              <img
                src={`/api/photos/${p.file}?size=small`}
                alt={p.caption || `Picture taken in ${p.stop}`}
                className="w-full h-[84px] object-cover border border-rule-strong"
              />
              {p.caption || p.stop}, pin{' '}
              {(p.pins ?? []).flatMap((x, i) => (shows(x) ? [i + 1] : [])).join(', ')}
            </li>
          ))}
        </ul>
      )}
      <div className="grid gap-4">
        <div className="grid grid-cols-[110px_1fr] gap-3 items-end">
          <TextField
            label="How many"
            inputMode="numeric"
            value={count}
            onChange={(e) => setCount(e.target.value)}
            wrong={at('/count')}
          />
          <div className="flex flex-wrap gap-2">
            {item.count === null && (
              <Second small onClick={() => done(record('item.counted', { item: item.id, count: n }))}>
                Counted
              </Second>
            )}
            {t.off > 0 && (
              <Second small onClick={() => done(record('item.missed', { item: item.id, count: n }))}>
                Cannot be found
              </Second>
            )}
            {item.missing !== undefined && (
              <Second small onClick={() => done(record('item.missed', { item: item.id, count: 0 }))}>
                Found again
              </Second>
            )}
            {t.back > 0 && (
              <Second small onClick={() => done(record('item.taken', { item: item.id, count: n }))}>
                Off again
              </Second>
            )}
          </div>
        </div>
        {t.off > 0 && <Stash {...panel} />}
        {t.off > 0 && <WriteOff {...panel} count={n} />}
        <Altered {...panel} />
        {t.off > 0 && <Different {...panel} />}
      </div>
    </Dialog>
  );
}
