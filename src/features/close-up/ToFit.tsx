import { useState } from 'react';
import { namesOf } from '../../core/job';
import { toFitOf } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { useJob } from '../job/use-job';

/** Something is put in for which nothing came off: it stands on the way back like the rest, in the order it is named. */
export function ToFit({ open: first = false }: { open?: boolean }) {
  const { job, record } = useJob();
  const [open, setOpen] = useState(first);
  const add = (text: string): string | null => {
    const items = toFitOf(text, namesOf(job));
    if (items.length === 0) return 'say what goes in, such as: fan board, or 4 x M3x8 PH1 lid';
    for (const one of items) {
      const refused = record('item.to-fit', one);
      if (refused) return refused.reason;
    }
    return null;
  };
  if (!open)
    return (
      <div className="border-t border-rule pt-3">
        <Second small onClick={() => setOpen(true)}>
          Something more goes in
        </Second>
      </div>
    );
  return (
    <div className="border-t border-rule pt-3">
      <AskLine
        several
        small
        label="What goes in for the first time"
        placeholder="4 x M3x8 PH1 lid"
        hint="One after the other, in the order it is put together: boards, plugs, covers, screws."
        button="Add it"
        onSay={add}
      />
    </div>
  );
}
