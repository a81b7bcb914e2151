import { useState } from 'react';
import { isPinOf, picturesOf } from '../../core/job';
import { type Item, placeWords, specOf, tally } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { Thumbs } from '../photos/Thumbs';
import { Altered, Different, Stash, WriteOff } from './ItemPanels';
import type { Refused } from './store';
import { useJob } from './use-job';

/** One thing of the tray: how it stands, and what can happen to it beside going home. */
export function ItemDialog({ item, onClose }: { item: Item; onClose(): void }) {
  const { job, record } = useJob();
  const t = tally(item);
  const seen = picturesOf(job, item);
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
      <div className="mb-4 empty:hidden">
        <Thumbs
          photos={seen}
          label="Pictures of it"
          says={(p) => {
            const on = (p.pins ?? []).flatMap((x, i) => (isPinOf(x, item) ? [i + 1] : []));
            return on.length ? `, pin ${on.join(', ')}` : '';
          }}
        />
      </div>
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
          </div>
        </div>
        {t.back > 0 && (
          <div className="border-t border-rule pt-3">
            <AskLine
              small
              label="Off again, because"
              placeholder="a lead was pinched under it"
              hint="It stands in the report; may be left empty."
              button="Off again"
              onSay={(why) => {
                const refused = record('item.taken', {
                  item: item.id,
                  count: n,
                  ...(why.trim() ? { why: why.trim() } : {}),
                });
                done(refused);
                return refused?.reason ?? null;
              }}
            />
          </div>
        )}
        {t.off > 0 && <Stash {...panel} />}
        {t.off > 0 && <WriteOff {...panel} count={n} />}
        <Altered {...panel} />
        {t.off > 0 && <Different {...panel} />}
      </div>
    </Dialog>
  );
}
