import { useState } from 'react';
import { Action } from '../../../ui/Action';
import { TextField } from '../../../ui/Field';
import { Foot } from '../../../ui/Foot';
import { useJob } from '../../job/use-job';
import type { ActProps } from './act';

/** Several are counted. */
export function CountAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const [n, setN] = useState('');
  return (
    <form
      id="count"
      className="flex gap-3 items-end flex-wrap"
      onSubmit={(e) => {
        e.preventDefault();
        if (step.item) onRefused(record('item.counted', { item: step.item.id, count: Number(n) }));
      }}
    >
      <TextField
        label="How many are there"
        inputMode="numeric"
        data-next={n.trim() ? undefined : 'ask'}
        value={n}
        onChange={(e) => setN(e.target.value)}
        className="w-[200px]"
      />
      <Foot>
        <Action type="submit" form="count" keyName="Enter">
          Counted
        </Action>
      </Foot>
    </form>
  );
}
