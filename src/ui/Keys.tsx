import { useEffect, useState } from 'react';
import { tinykeys } from 'tinykeys';
import { Dialog } from './Dialog';
import { Choices } from './Field';
import { kept } from './kept';
import { setTextSize, TEXT_SIZES } from './ThemeButton';

export interface KeyHelp {
  keys: string;
  does: string;
}

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) &&
  !(target instanceof HTMLInputElement && /^(radio|checkbox)$/.test(target.type));

const OFF = 'mulch-single-keys-off';

/**
 * Single-letter keys, silent while a field has focus or a dialog is open, and switched off where
 * the technician wants them off.
 */
export function useKeys(bindings: Record<string, (e: KeyboardEvent) => void>): void {
  useEffect(() => {
    const guarded = Object.fromEntries(
      Object.entries(bindings).map(([k, f]) => [
        k,
        (e: KeyboardEvent) => {
          // A key that works what has focus does that, and nothing beside it.
          const pressing =
            /Space|^ |Enter/.test(k) &&
            e.target instanceof HTMLElement &&
            e.target.closest(
              `button, a, input, summary, [role=button], [role=tab]${k === 'Enter' ? ', form' : ''}`,
            );
          if (pressing || typing(e.target) || document.querySelector('[role=dialog]') || kept.read(OFF))
            return;
          e.preventDefault();
          f(e);
        },
      ]),
    );
    return tinykeys(window, guarded);
  }, [bindings]);
}

/** Escape, out of a field too; in a dialog it belongs to the dialog. */
export function useEscape(to: () => void): void {
  useEffect(
    () =>
      tinykeys(window, {
        Escape: () => {
          if (!document.querySelector('[role=dialog], [role=menu], [role=listbox]')) to();
        },
      }),
    [to],
  );
}

/** The sheet of keys, with the switch for them. */
export function KeysDialog({ open, onClose, help }: { open: boolean; onClose(): void; help: KeyHelp[] }) {
  const [off, setOff] = useState(false);
  const [size, setSize] = useState('100');
  useEffect(() => {
    setOff(kept.read(OFF) !== null);
    setSize(document.documentElement.dataset.size ?? '100');
  }, []);
  const flip = () => {
    if (off) kept.drop(OFF);
    else kept.write(OFF, true);
    setOff(!off);
  };
  return (
    <Dialog open={open} onClose={onClose} title="Keys and text size">
      <table className="plain">
        <tbody>
          {help.map((h) => (
            <tr key={h.keys}>
              <th scope="row">
                <kbd className="text-bark">{h.keys}</kbd>
              </th>
              <td>{h.does}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-4">
        <Choices
          label="Text size"
          name="size"
          value={size}
          options={TEXT_SIZES.map((s) => ({ value: s, words: `${s}\u00a0%` }))}
          onPick={(v) => {
            const picked = TEXT_SIZES.find((s) => s === v);
            if (!picked) return;
            setTextSize(picked);
            setSize(picked);
          }}
        />
      </div>
      <label className="flex items-center gap-3 mt-4 min-h-[44px]">
        <input type="checkbox" className="w-6 h-6 accent-current" checked={off} onChange={flip} />
        Single letters off
      </label>
    </Dialog>
  );
}
