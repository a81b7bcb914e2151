import { useState } from 'react';
import { Refusal } from '../../core/refusal';
import { parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { useJob } from '../job/use-job';
import { sendPhoto } from '../photos/send-photo';

/** A side of the unit made at the bench: a plain rectangle, or a photograph. */
export function AddFace({ onDone }: { onDone(id: string | null): void }) {
  const { job, record } = useJob();
  const [name, setName] = useState('');
  const [size, setSize] = useState({ width: '200', height: '150' });
  const [under, setUnder] = useState('');
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const add = (photo?: { file: string; width: number; height: number }) => {
    try {
      const width = parseReading(size.width);
      // A photograph keeps its proportion: its width in mm says how high it is.
      const height = photo
        ? Math.round(((width * photo.height) / photo.width) * 10) / 10
        : parseReading(size.height);
      const id = name.trim();
      if (!id) throw new Refusal('give the side a name, such as rear');
      const refused = record('face.added', {
        face: {
          id,
          name: id,
          width,
          height,
          ...(under ? { under } : {}),
          ...(photo ? { photo: photo.file } : {}),
        },
      });
      if (refused) setWrong(refused.reason);
      else onDone(id);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong(error.message);
    }
  };
  const picture = async ([chosen]: [File, ...File[]]) => {
    setBusy(true);
    const sent = await sendPhoto(chosen);
    setBusy(false);
    if (sent.ok) add(sent.data);
    else setWrong(sent.failure.reason);
  };
  return (
    <form
      className="grid gap-3 border border-rule-strong p-3"
      onSubmit={(e) => {
        e.preventDefault();
        add();
      }}
    >
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Side"
          value={name}
          placeholder="rear"
          autoComplete="off"
          onChange={(e) => setName(e.target.value)}
        />
        <SelectField label="Seen under" value={under} onChange={(e) => setUnder(e.target.value)}>
          <option value="">nothing, a side</option>
          {job.map.access.map((a) => (
            <option key={a.id} value={a.id}>
              {a.name}
            </option>
          ))}
        </SelectField>
        {(['width', 'height'] as const).map((k) => (
          <TextField
            key={k}
            label={k === 'width' ? 'Width, mm' : 'Height, mm'}
            value={size[k]}
            inputMode="decimal"
            autoComplete="off"
            onChange={(e) => setSize({ ...size, [k]: e.target.value })}
          />
        ))}
      </div>
      <div className="flex flex-wrap gap-2">
        <Second small type="submit" disabled={busy}>
          A plain rectangle
        </Second>
        <FileButton small disabled={busy} label="Photograph of this side" accept="image/*" onFiles={picture}>
          {busy ? 'Keeping it' : 'A photograph'}
        </FileButton>
        <Second small onClick={() => onDone(null)}>
          Leave it
        </Second>
      </div>
      {wrong && <Wrong>{wrong}</Wrong>}
    </form>
  );
}
