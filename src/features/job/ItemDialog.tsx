import { useState } from 'react';
import { type Item, PLACE_KINDS, type PlaceKind, placeWords, specOf, tally } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import type { Refused } from './store';
import { useJob } from './use-job';

/** One thing of the tray: how it stands, and what can happen to it beside going home. */
export function ItemDialog({ item, onClose }: { item: Item; onClose(): void }) {
  const { record } = useJob();
  const t = tally(item);
  const [count, setCount] = useState('1');
  const [reason, setReason] = useState('');
  const [replacement, setReplacement] = useState('');
  const [kind, setKind] = useState<PlaceKind>(item.place.kind);
  const [label, setLabel] = useState(item.place.label ?? '');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const done = (refused: Refused | null) => {
    setWrong(refused);
    if (!refused) onClose();
  };
  const n = Number(count);
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
        {t.off > 0 && (
          <div className="grid grid-cols-[1fr_1fr_auto] gap-3 items-end border-t border-rule pt-3">
            <SelectField label="Kept" value={kind} onChange={(e) => setKind(e.target.value as PlaceKind)}>
              {PLACE_KINDS.map((k) => (
                <option key={k}>{k}</option>
              ))}
            </SelectField>
            <TextField label="Number or name" value={label} onChange={(e) => setLabel(e.target.value)} />
            <Second
              small
              onClick={() =>
                done(
                  record('item.stashed', {
                    item: item.id,
                    place: { kind, ...(label.trim() ? { label: label.trim() } : {}) },
                  }),
                )
              }
            >
              Move
            </Second>
          </div>
        )}
        {t.off > 0 && (
          <div className="grid grid-cols-[1fr_1fr_auto] gap-3 items-end border-t border-rule pt-3">
            <TextField
              label="Written off because"
              placeholder="stripped"
              value={reason}
              onChange={(e) => setReason(e.target.value)}
              wrong={at('/reason')}
            />
            <TextField
              label="In its place"
              placeholder="new, from stock"
              value={replacement}
              onChange={(e) => setReplacement(e.target.value)}
              wrong={at('/replacement')}
            />
            <Second
              small
              onClick={() =>
                done(record('item.written-off', { item: item.id, count: n, reason, replacement }))
              }
            >
              Write off
            </Second>
          </div>
        )}
      </div>
    </Dialog>
  );
}
