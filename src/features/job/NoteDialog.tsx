import { useState } from 'react';
import { STOPS, type Stop } from '../../core/job';
import { specOf, tally } from '../../core/ledger';
import { Action } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { SelectField, TextField } from '../../ui/Field';
import { STOP_TITLE } from './stop-title';
import { useJob } from './use-job';

const isStop = (v: string): v is Stop => (STOPS as readonly string[]).includes(v);

/** A note of one's own, at any stop, or something that is asked again as a tick. */
export function NoteDialog({ open, onClose }: { open: boolean; onClose(): void }) {
  const { job, stop, record } = useJob();
  const [text, setText] = useState('');
  const [when, setWhen] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const off = job.ledger.items.filter((i) => tally(i).off > 0).reverse();
  const keep = (e: React.FormEvent) => {
    e.preventDefault();
    const said = text.trim();
    const refused = !said
      ? { reason: 'write something' }
      : when === ''
        ? record('note.added', { text: said })
        : record('tick.noted', {
            text: said,
            ...(isStop(when) ? { stop: when } : { stop: 'close up', item: when }),
          });
    setWrong(refused?.reason);
    if (refused) return;
    setText('');
    setWhen('');
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title="A note, or a tick">
      <form onSubmit={keep} noValidate className="grid gap-3">
        <TextField
          label="Note"
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setWrong(undefined);
          }}
          wrong={wrong}
          hint={
            when
              ? 'A tick, asked at its time; it stands in the report once it is made.'
              : 'It stands in the report, under Notes.'
          }
          autoComplete="off"
        />
        <SelectField label="Asked again" value={when} onChange={(e) => setWhen(e.target.value)}>
          <option value="">never, it is a note</option>
          {STOPS.slice(STOPS.indexOf(stop)).map((s) => (
            <option key={s} value={s}>
              as a tick in {STOP_TITLE[s]}
            </option>
          ))}
          {off.map((i) => (
            <option key={i.id} value={i.id}>
              when this goes back: {specOf(i)}
            </option>
          ))}
        </SelectField>
        <div>
          <Action type="submit" keyName="Enter">
            Keep it
          </Action>
        </div>
        {job.notes.length > 0 && (
          <ul className="rows" aria-label="Notes so far">
            {[...job.notes].reverse().map((n) => (
              <li key={`${n.at} ${n.text}`}>{n.text}</li>
            ))}
          </ul>
        )}
      </form>
    </Dialog>
  );
}
