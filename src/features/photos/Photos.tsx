import { useState } from 'react';
import { pictureOf } from '../../core/job';
import { specOf, tally } from '../../core/ledger';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { useJob } from '../job/use-job';
import { Thumbs } from './Thumbs';
import { useTakePhoto } from './use-take-photo';

const pins = (n: number) => (n ? `, ${n} ${n === 1 ? 'pin' : 'pins'}` : '');

/** Pictures of a job: taken or chosen, each with what it shows and the thing it is of, looked at closely. */
export function Photos({ title, hint }: { title: string; hint: string }) {
  const { job, stop } = useJob();
  const [caption, setCaption] = useState('');
  const [picked, setPicked] = useState<string | null>(null);
  const { take, busy, wrong } = useTakePhoto();
  const off = job.ledger.items.filter((i) => tally(i).off > 0).reverse();
  // A picture is of the move in hand, unless something else is chosen.
  const of = picked ?? pictureOf(job, stop) ?? '';
  return (
    <section aria-label={title} className="grid gap-3">
      <div className="lead">
        <h2 className="sec">{title}</h2>
        <span className="note">{job.photos.length === 0 ? hint : `${job.photos.length} kept`}</span>
      </div>
      <Thumbs photos={job.photos} label="Pictures kept" says={(p) => pins(p.pins?.length ?? 0)} />
      <div className="flex flex-wrap gap-3 items-end">
        <TextField
          label="What the next one shows"
          value={caption}
          onChange={(e) => setCaption(e.target.value)}
          placeholder="type label, rear"
          className="max-w-[300px]"
          autoComplete="off"
        />
        {off.length > 0 && (
          <SelectField
            label="Comes up again with"
            value={of}
            onChange={(e) => setPicked(e.target.value)}
            className="max-w-[260px]"
          >
            <option value="">nothing by itself</option>
            {off.map((i) => (
              <option key={i.id} value={i.id}>
                {[specOf(i), i.from].filter(Boolean).join(', ')}
              </option>
            ))}
          </SelectField>
        )}
        <FileButton
          disabled={busy !== ''}
          label="Picture file"
          accept="image/*"
          multiple
          onFiles={async (chosen) => {
            if (await take(chosen, { caption, ...(of ? { of } : {}) })) setCaption('');
          }}
        >
          {busy || 'Add a picture'}
        </FileButton>
      </div>
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
