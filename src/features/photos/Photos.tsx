import { useState } from 'react';
import { Clock } from '../../ui/Clock';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { useJob } from '../job/use-job';
import { PhotoView } from './PhotoView';
import { sendPhoto } from './send-photo';

/** Pictures of a job: taken or chosen, each with what it shows, and looked at closely. */
export function Photos({ title, hint }: { title: string; hint: string }) {
  const { job, record } = useJob();
  const [caption, setCaption] = useState('');
  const [busy, setBusy] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const take = async (chosen: [File, ...File[]]) => {
    setWrong(null);
    for (const [i, one] of chosen.entries()) {
      setBusy(chosen.length > 1 ? `Keeping ${i + 1} of ${chosen.length}` : 'Keeping it');
      const sent = await sendPhoto(one);
      const refused = sent.ok
        ? record('photo.added', { ...sent.data, caption })?.reason
        : sent.failure.reason;
      if (refused) {
        setWrong(`${one.name}: ${refused}`);
        break;
      }
    }
    setBusy('');
    setCaption('');
  };
  const big = job.photos.find((p) => p.id === shown);
  return (
    <section aria-label={title} className="grid gap-3">
      <div className="lead">
        <h2 className="sec">{title}</h2>
        <span className="note">{job.photos.length === 0 ? hint : `${job.photos.length} kept`}</span>
      </div>
      {job.photos.length > 0 && (
        <ul className="flex flex-wrap gap-3">
          {job.photos.map((p) => (
            <li key={p.id} className="w-[150px]">
              <button
                type="button"
                className="block w-full border border-rule-strong bg-inset"
                onClick={() => setShown(p.id)}
              >
                <img
                  src={`/api/photos/${p.file}?size=small`}
                  alt={p.caption || `Picture taken in ${p.stop}`}
                  loading="lazy"
                  width={p.width}
                  height={p.height}
                  className="w-full h-[104px] object-cover"
                />
              </button>
              <span className="note block leading-[1.2]">
                {p.caption || p.stop}, <Clock at={p.at} />
                {p.pins?.length ? `, ${p.pins.length} ${p.pins.length === 1 ? 'pin' : 'pins'}` : ''}
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap gap-3 items-end">
        <TextField
          label="What the next one shows"
          value={caption}
          onChange={(e) => setCaption(e.target.value)}
          placeholder="type label, rear"
          className="max-w-[300px]"
          autoComplete="off"
        />
        <FileButton disabled={busy !== ''} label="Picture file" accept="image/*" multiple onFiles={take}>
          {busy || 'Add a picture'}
        </FileButton>
      </div>
      {wrong && <Wrong>{wrong}</Wrong>}
      <Dialog
        wide="picture"
        open={big !== undefined}
        onClose={() => setShown(null)}
        title={big?.caption || 'Picture'}
      >
        {big && <PhotoView key={big.id} photo={big} />}
      </Dialog>
    </section>
  );
}
