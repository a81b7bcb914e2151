import { useState } from 'react';
import { Action } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';
import { useJob } from './use-job';

/** A note of one's own, at any stop: it stands in the report. */
export function NoteDialog({ open, onClose }: { open: boolean; onClose(): void }) {
  const { job, record } = useJob();
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const keep = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = text.trim() ? record('note.added', { text: text.trim() }) : { reason: 'write something' };
    setWrong(refused?.reason);
    if (refused) return;
    setText('');
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title="A note">
      <form onSubmit={keep} noValidate className="grid gap-3">
        <TextField
          label="Note"
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setWrong(undefined);
          }}
          wrong={wrong}
          hint="It stands in the report, under Notes."
          autoComplete="off"
        />
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
