import { useState } from 'react';
import { Action } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';
import type { Refused } from './store';
import { useJob } from './use-job';

/** Lets a job rest at any stop, tray and all. */
export function ParkDialog({ onClose }: { onClose(): void }) {
  const { record } = useJob();
  const [why, setWhy] = useState('');
  const [until, setUntil] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const park = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('job.parked', { why, ...(until.trim() ? { until: until.trim() } : {}) });
    setWrong(refused);
    if (!refused) onClose();
  };
  return (
    <Dialog open onClose={onClose} title="Park this job">
      <form onSubmit={park} className="grid gap-4">
        <TextField
          label="What it waits for"
          placeholder="ribbon W7, 10-way"
          value={why}
          onChange={(e) => setWhy(e.target.value)}
          wrong={wrong?.reason}
          autoFocus
        />
        <TextField
          label="Until"
          placeholder="Thursday ferry"
          hint="may stay empty"
          value={until}
          onChange={(e) => setUntil(e.target.value)}
        />
        <p className="note">
          The tray stays as it is. Whoever takes the job up again finds every place and every gate as they are
          now.
        </p>
        <div>
          <Action type="submit" keyName="Enter">
            Park it
          </Action>
        </div>
      </form>
    </Dialog>
  );
}
