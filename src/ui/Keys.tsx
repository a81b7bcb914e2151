import { useEffect, useState } from 'react';
import { tinykeys } from 'tinykeys';
import { Dialog } from './Dialog';

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
          const pressing =
            /Space|^ /.test(k) &&
            e.target instanceof HTMLElement &&
            e.target.closest('button, a, [role=button]');
          if (
            pressing ||
            typing(e.target) ||
            document.querySelector('[role=dialog]') ||
            localStorage.getItem(OFF)
          )
            return;
          e.preventDefault();
          f(e);
        },
      ]),
    );
    return tinykeys(window, guarded);
  }, [bindings]);
}

/** The sheet of keys, with the switch for them. */
export function KeysDialog({ open, onClose, help }: { open: boolean; onClose(): void; help: KeyHelp[] }) {
  const [off, setOff] = useState(false);
  useEffect(() => setOff(localStorage.getItem(OFF) !== null), []);
  const flip = () => {
    if (off) localStorage.removeItem(OFF);
    else localStorage.setItem(OFF, '1');
    setOff(!off);
  };
  return (
    <Dialog open={open} onClose={onClose} title="Keys">
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
      <label className="flex items-center gap-3 mt-4 min-h-[44px]">
        <input type="checkbox" className="w-6 h-6 accent-current" checked={off} onChange={flip} />
        Single letters off
      </label>
    </Dialog>
  );
}
