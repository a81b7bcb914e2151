import { Second } from '../../ui/Action';
import { TickBox, Warn } from '../../ui/Signs';

/** One key as it was written, and what the unit says of it now. */
export interface Written {
  key: string;
  wanted: string;
  readBack: string | null;
  kept: boolean;
  said: string;
}

/** Asks once more before anything is written to the unit. */
export function AskWriting({
  lines,
  unit,
  onWrite,
  onLeave,
}: {
  lines: string[];
  unit: string;
  onWrite(): void;
  onLeave(): void;
}) {
  return (
    <div className="border-2 border-bark p-3 grid gap-2" role="alertdialog" aria-label="Write back">
      <p>
        Write <b>{lines.join(', ')}</b> to {unit || 'the unit'}? Each is read back: only that counts.
      </p>
      <span className="flex gap-2">
        <Second onClick={onWrite}>Write them</Second>
        <Second onClick={onLeave}>Leave it</Second>
      </span>
    </div>
  );
}

/** What was read back of every key that was written. */
export function ReadBack({ written }: { written: Written[] }) {
  return (
    <ul className="rows" aria-label="Read back">
      {written.map((w) => (
        <li key={w.key} className="flex gap-2 items-center">
          {w.kept ? <TickBox size={16} /> : <Warn size={16} />}
          <span>
            <b className="mono">{w.key}</b> {w.kept ? 'reads' : `wanted ${w.wanted}, reads`}{' '}
            {w.readBack ?? 'nothing'}
            {!w.kept && w.said !== 'OK' && <span className="note block">{w.said}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}
