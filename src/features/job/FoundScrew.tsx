import { useState } from 'react';
import { candidatesFor, placeWords, specOf } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { useJob } from './use-job';

/** A screw on the floor: where it may belong, and found again at one press. */
export function FoundScrew() {
  const { job } = useJob();
  const [open, setOpen] = useState(false);
  if (!job.ledger.items.some((i) => i.kind === 'fastener' && !i.fresh)) return null;
  return (
    <>
      <Second small onClick={() => setOpen(true)}>
        A screw was found
      </Second>
      <Dialog open={open} onClose={() => setOpen(false)} title="A screw was found">
        {open && <Matches onClose={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}

function Matches({ onClose }: { onClose(): void }) {
  const { job, record } = useJob();
  const [said, setSaid] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const list = candidatesFor(job.ledger.items, said);
  return (
    <div className="grid gap-4">
      <TextField
        label="What it is"
        value={said}
        onChange={(e) => setSaid(e.target.value)}
        placeholder="M3x8 PH1"
        hint="thread, length, driver: as much as you can tell"
        autoComplete="off"
        autoFocus
      />
      {said.trim() && list.length === 0 && (
        <p className="note">
          Nothing like it came off this unit, as far as was recorded. Keep it in a bag and say so in a note.
        </p>
      )}
      <ol className="rows">
        {list.map(({ item, why, wanted }) => (
          <li key={item.id} className="grid grid-cols-[minmax(0,1fr)_auto] gap-3 items-center">
            <span className="leading-[1.25]">
              <b>{specOf(item)}</b>
              {item.from && `, ${item.from}`}
              <span className="note block">
                {placeWords(item.place)}; {why}
                {wanted && `; ${item.missing} missing there`}
              </span>
            </span>
            {wanted && (
              <Second
                small
                onClick={() => {
                  const refused = record('item.missed', { item: item.id, count: (item.missing ?? 1) - 1 });
                  setWrong(refused?.reason ?? null);
                  if (!refused) onClose();
                }}
              >
                It is this one
              </Second>
            )}
          </li>
        ))}
      </ol>
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
