import { useState } from 'react';
import { proofsOf, specOf } from '../../../core/ledger';
import { Second } from '../../../ui/Action';
import { TextField } from '../../../ui/Field';
import { Foot } from '../../../ui/Foot';
import { useJob } from '../../job/use-job';
import type { ActProps } from './act';

/** A number of wires that can be in so many contacts, or why not. */
function wiresIn(text: string, contacts: number): number | string {
  const n = Number(text);
  return Number.isInteger(n) && n >= 1 && n <= contacts
    ? n
    : `a whole number from 1 to ${contacts}, not “${text.trim()}”`;
}

/** How a thing was shown to be home. */
export function ProveAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const [other, setOther] = useState('');
  const [wires, setWires] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const { item } = step;
  const contacts = item?.kind === 'plug' && item.wires === undefined ? (item.contacts ?? 0) : 0;
  const prove = (how: string) => {
    if (!item) return;
    const fewer = wires.trim() ? wiresIn(wires, contacts) : null;
    if (typeof fewer === 'string') return setWrong(fewer);
    const seated = fewer === null ? '' : `, ${fewer} wires in ${contacts} contacts, each seated`;
    onRefused(record('item.proven', { item: item.id, how: how.trim() ? `${how}${seated}` : how }));
  };
  return (
    <div className="grid gap-3">
      <p className="note">
        {step.item?.kind === 'plug' ? 'A plug that is in is not yet home. ' : ''}How was{' '}
        {step.item ? specOf(step.item) : 'it'} proven?
      </p>
      <Foot>
        {(step.item ? proofsOf(step.item) : []).map((how, i) => (
          <Second
            key={how}
            className="min-h-[56px]!"
            data-next={i === 0 ? 'ask' : undefined}
            onClick={() => prove(how)}
          >
            {how}
          </Second>
        ))}
      </Foot>
      {contacts > 1 && (
        <TextField
          label={`Wires in its ${contacts} contacts`}
          inputMode="numeric"
          placeholder={String(contacts)}
          value={wires}
          onChange={(e) => {
            setWires(e.target.value);
            setWrong(undefined);
          }}
          wrong={wrong}
          hint="Only where they are fewer: then each is looked at."
          className="max-w-[260px]"
          autoComplete="off"
        />
      )}
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
