import { useState } from 'react';
import type { PhotoPin } from '../../core/job';
import { type Item, PLACE_KINDS, type PlaceKind, placeWords, specOf, tally } from '../../core/ledger';
import { Refusal } from '../../core/refusal';
import { parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import type { Refused } from './store';
import { useJob } from './use-job';

/** One thing of the tray: how it stands, and what can happen to it beside going home. */
export function ItemDialog({ item, onClose }: { item: Item; onClose(): void }) {
  const { job, record } = useJob();
  const t = tally(item);
  const shows = (pin: PhotoPin) => pin.item === item.id || pin.on.toLowerCase() === item.name.toLowerCase();
  const seen = job.photos.filter((p) => p.pins?.some(shows));
  const [count, setCount] = useState('1');
  const [reason, setReason] = useState('');
  const [replacement, setReplacement] = useState('');
  const [kind, setKind] = useState<PlaceKind>(item.place.kind);
  const [label, setLabel] = useState(item.place.label ?? '');
  const [back, setBack] = useState({
    note: item.back?.note ?? '',
    torque: String(item.back?.torqueNm ?? ''),
    cure: String(item.back?.cureMinutes ?? ''),
    fresh: item.back?.fresh ?? false,
  });
  const [altered, setAltered] = useState(item.altered ?? '');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const noteBack = () => {
    try {
      done(
        record('way-back.noted', {
          item: item.id,
          ...(back.note.trim() ? { note: back.note.trim() } : {}),
          ...(back.torque.trim() ? { torqueNm: parseReading(back.torque) } : {}),
          ...(back.cure.trim() ? { cureMinutes: parseReading(back.cure) } : {}),
          ...(back.fresh ? { fresh: true } : {}),
        }),
      );
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong({ reason: error.message, path: '' });
    }
  };
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
      {wrong && !['/count', '/reason', '/replacement', '/what'].includes(wrong.path) && (
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
        <form
          className="grid grid-cols-[1fr_auto] gap-3 items-end border-t border-rule pt-3"
          onSubmit={(e) => {
            e.preventDefault();
            e.stopPropagation();
            done(record('item.altered', { item: item.id, what: altered }));
          }}
        >
          <TextField
            label="Cut, trimmed, shortened: what, and by how much"
            placeholder="lead shortened by 12 mm"
            value={altered}
            onChange={(e) => setAltered(e.target.value)}
            wrong={at('/what')}
            hint="Nobody is told to uncut it. A picture with a pin on it belongs to it."
          />
          <span className="pb-[21px]">
            <Second small type="submit">
              Altered
            </Second>
          </span>
        </form>
        {t.off > 0 && (
          <div className="grid grid-cols-[1fr_96px_96px] gap-3 items-end border-t border-rule pt-3">
            <TextField
              label="Different going back"
              placeholder="gasket, thread lock, lead in its guide"
              value={back.note}
              onChange={(e) => setBack({ ...back, note: e.target.value })}
            />
            <TextField
              label="Torque, N·m"
              inputMode="decimal"
              value={back.torque}
              onChange={(e) => setBack({ ...back, torque: e.target.value })}
            />
            <TextField
              label="Cures, min"
              inputMode="decimal"
              value={back.cure}
              onChange={(e) => setBack({ ...back, cure: e.target.value })}
            />
            <div className="choices col-span-2">
              <label>
                <input
                  type="checkbox"
                  checked={back.fresh}
                  onChange={(e) => setBack({ ...back, fresh: e.target.checked })}
                />
                <span className="dot" aria-hidden="true" />a new one every time
              </label>
            </div>
            <Second small onClick={noteBack}>
              Note it
            </Second>
          </div>
        )}
      </div>
    </Dialog>
  );
}
