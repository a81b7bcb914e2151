import { useState } from 'react';
import { proofsOf, specOf } from '../../../core/ledger';
import { Second } from '../../../ui/Action';
import { TextField } from '../../../ui/Field';
import { useJob } from '../../job/use-job';
import type { ActProps } from './act';

/** How a thing was shown to be home. */
export function ProveAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const [other, setOther] = useState('');
  const prove = (how: string) => step.item && onRefused(record('item.proven', { item: step.item.id, how }));
  return (
    <div className="grid gap-3">
      <p className="note">
        {step.item?.kind === 'plug' ? 'A plug that is in is not yet home. ' : ''}How was{' '}
        {step.item ? specOf(step.item) : 'it'} proven?
      </p>
      <div className="flex flex-wrap gap-3">
        {(step.item ? proofsOf(step.item) : []).map((how) => (
          <Second key={how} className="min-h-[64px]!" onClick={() => prove(how)}>
            {how}
          </Second>
        ))}
      </div>
      <form
        className="flex gap-3 items-end flex-wrap"
        onSubmit={(e) => {
          e.preventDefault();
          prove(other);
        }}
      >
        <TextField
          label="Otherwise"
          value={other}
          onChange={(e) => setOther(e.target.value)}
          className="min-w-[260px]"
        />
        <Second type="submit">Proven</Second>
      </form>
    </div>
  );
}
