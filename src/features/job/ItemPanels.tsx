import { useState } from 'react';
import { canGoIn, type Item, PLACE_KINDS, type PlaceKind } from '../../core/ledger';
import { Refusal } from '../../core/refusal';
import { parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { Choices, SelectField, TextField } from '../../ui/Field';
import type { Refused } from './store';
import { useJob } from './use-job';

/** What a panel of the dialog is given: the thing, what was refused, and where an answer goes. */
export interface ItemPanel {
  item: Item;
  wrong: Refused | null;
  onDone(refused: Refused | null): void;
}

const at = (wrong: Refused | null, path: string) => (wrong?.path === path ? wrong.reason : undefined);

/** Where it is kept. */
export function Stash({ item, onDone }: ItemPanel) {
  const { record } = useJob();
  const [kind, setKind] = useState<PlaceKind>(item.place.kind);
  const [label, setLabel] = useState(item.place.label ?? '');
  return (
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
          onDone(
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
  );
}

/** It does not go back: why, and what takes its place; whether that goes in here on the way back. */
export function WriteOff({ item, wrong, onDone, count }: ItemPanel & { count: number }) {
  const { record } = useJob();
  const [reason, setReason] = useState('');
  const [replacement, setReplacement] = useState('');
  const [goesIn, setGoesIn] = useState(canGoIn(item));
  return (
    <div className="grid gap-2 border-t border-rule pt-3">
      <div className="grid grid-cols-[1fr_1fr_auto] gap-3 items-end">
        <TextField
          label="Written off because"
          placeholder="stripped"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          wrong={at(wrong, '/reason')}
        />
        <TextField
          label="In its place"
          placeholder={item.kind === 'fastener' ? 'new, from stock' : `new ${item.name}`}
          value={replacement}
          onChange={(e) => setReplacement(e.target.value)}
          wrong={at(wrong, '/replacement')}
        />
        <Second
          small
          onClick={() =>
            onDone(
              record('item.written-off', {
                item: item.id,
                count,
                reason,
                replacement,
                ...(goesIn ? { goesIn } : {}),
              }),
            )
          }
        >
          Write off
        </Second>
      </div>
      {canGoIn(item) && (
        <Choices
          many
          hideLabel
          label="What takes its place"
          name={`goes-in-${item.id}`}
          value={goesIn ? ['in'] : []}
          onPick={() => setGoesIn(!goesIn)}
          options={[{ value: 'in', words: 'It goes in here: owed on the way back, and proven' }]}
        />
      )}
    </div>
  );
}

/** What was cut, trimmed or shortened. */
export function Altered({ item, onDone }: ItemPanel) {
  const { record } = useJob();
  return (
    <div className="border-t border-rule pt-3">
      <AskLine
        small
        label="Cut, trimmed, shortened: what, and by how much"
        placeholder="lead shortened by 12 mm"
        hint="Nobody is told to uncut it. A picture with a pin on it belongs to it."
        button="Altered"
        begin={item.altered ?? ''}
        onSay={(what) => {
          const refused = record('item.altered', { item: item.id, what });
          if (!refused) onDone(null);
          return refused?.reason ?? null;
        }}
      />
    </div>
  );
}

/** What is different when it goes back. */
export function Different({ item, onDone }: ItemPanel) {
  const { record } = useJob();
  const [back, setBack] = useState({
    note: item.back?.note ?? '',
    torque: String(item.back?.torqueNm ?? ''),
    cure: String(item.back?.cureMinutes ?? ''),
    fresh: item.back?.fresh ?? false,
  });
  const noteBack = () => {
    try {
      onDone(
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
      onDone({ reason: error.message, path: '' });
    }
  };
  return (
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
  );
}
