import { useState } from 'react';
import { designated, type JobState, type Photo } from '../../core/job';
import { specOf } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { FaceDrawing } from '../../ui/FaceDrawing';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { PinMark } from '../../ui/PinMark';
import { PinForm } from '../faces/PinForm';
import { useJob } from '../job/use-job';
import { sendPhoto } from './send-photo';

const WHOLE = { w: 780, h: 520 };
const SIDE = { w: 384, h: 420 };
const CLOSE = 2.4;

/** The thing of the tray that a pin speaks of: by its name, or by its spec. */
function itemOf(job: JobState, on: string) {
  const words = on.trim().toLowerCase();
  return job.ledger.items.findLast(
    (i) => i.name.toLowerCase() === words || specOf(i).toLowerCase() === words,
  );
}

/** One picture, looked at closely: its pins, and the one before or after it beside it. */
export function PhotoView({ photo }: { photo: Photo }) {
  const { job, record } = useJob();
  const [close, setClose] = useState(false);
  const [placing, setPlacing] = useState<string | null>(null);
  const [chosen, setChosen] = useState<number>();
  const [beside, setBeside] = useState(false);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const pair = job.photos.find((p) => p.id === photo.after) ?? job.photos.find((p) => p.after === photo.id);
  const place = (x: number, y: number) => {
    const on = placing ?? '';
    const item = itemOf(job, on);
    const refused = record('pin.placed', { photo: photo.id, x, y, on, ...(item ? { item: item.id } : {}) });
    setWrong(refused?.reason ?? null);
    if (!refused) setPlacing(null);
  };
  const after = async ([one]: [File, ...File[]]) => {
    setBusy(true);
    const sent = await sendPhoto(one);
    setBusy(false);
    const refused = sent.ok
      ? record('photo.added', {
          ...sent.data,
          caption: `${photo.caption || photo.stop}, after`,
          after: photo.id,
        })
      : sent.failure;
    setWrong(refused?.reason ?? null);
    if (!refused) setBeside(true);
  };
  const words = (p: NonNullable<Photo['pins']>[number]) => {
    const item = job.ledger.items.find((i) => i.id === p.item);
    return item ? specOf(item) : designated(job.map, p.on).words;
  };
  const draw = (p: Photo, most: { w: number; h: number }, own: boolean) => (
    <FaceDrawing
      width={p.width}
      height={p.height}
      photo={`/api/photos/${p.file}`}
      shapes={[]}
      pins={(p.pins ?? []).map((pin, i) => ({
        number: i + 1,
        x: pin.x * p.width,
        y: pin.y * p.height,
        tone: 'wanted',
      }))}
      label={`${p.caption || `Picture taken in ${p.stop}`}${p.pins?.length ? `: ${p.pins.map((x, i) => `${i + 1} ${words(x)}`).join('; ')}` : ''}`}
      most={most}
      chosen={own ? chosen : undefined}
      onTap={own && placing ? (x, y) => place(x / p.width, y / p.height) : undefined}
    />
  );
  const first = pair && pair.id === photo.after ? pair : photo;
  const second = first === photo ? pair : photo;
  return (
    <div className="grid gap-3">
      {beside && second ? (
        <div className="grid grid-cols-2 max-[760px]:grid-cols-1 gap-3">
          {[first, second].map((p, i) => (
            <figure key={p.id} className="m-0">
              {draw(p, SIDE, p === photo)}
              <figcaption className="note">
                {i === 0 ? 'before' : 'after'}, <Clock at={p.at} day />
              </figcaption>
            </figure>
          ))}
        </div>
      ) : (
        <div className="overflow-auto max-h-[60vh]">
          {draw(photo, close ? { w: WHOLE.w * CLOSE, h: WHOLE.h * CLOSE } : WHOLE, true)}
        </div>
      )}
      {(photo.pins?.length ?? 0) > 0 && (
        <ul className="columns-2 gap-4 text-[14px]">
          {photo.pins?.map((p, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: pins are known by their number
            <li key={i} className="break-inside-avoid">
              <button
                type="button"
                className="flex gap-2 items-center text-left w-full min-h-[44px]"
                aria-pressed={chosen === i + 1}
                onClick={() => setChosen(chosen === i + 1 ? undefined : i + 1)}
              >
                <PinMark number={i + 1} tone="wanted" /> {words(p)}
              </button>
            </li>
          ))}
        </ul>
      )}
      <PinForm
        map={job.map}
        more={job.ledger.items.map((i) => ({ value: specOf(i), words: i.from ?? 'off' }))}
        placing={placing}
        onPlacing={setPlacing}
        size={{ width: 100, height: 100, unit: '% of the picture' }}
        onPlace={(x, y) => place(x / 100, y / 100)}
      >
        {chosen !== undefined && (
          <Second
            small
            onClick={() => {
              setWrong(record('pin.removed', { photo: photo.id, pin: chosen - 1 })?.reason ?? null);
              setChosen(undefined);
            }}
          >
            Take pin {chosen} away
          </Second>
        )}
      </PinForm>
      {wrong && <Wrong>{wrong}</Wrong>}
      <div className="flex flex-wrap gap-3 items-center border-t border-rule pt-2">
        {!beside && (
          <Second small aria-pressed={close} onClick={() => setClose(!close)}>
            {close ? 'The whole picture' : 'Closer'}
          </Second>
        )}
        {pair ? (
          <Second small aria-pressed={beside} onClick={() => setBeside(!beside)}>
            {beside ? 'This one alone' : 'Before and after'}
          </Second>
        ) : (
          <FileButton small disabled={busy} label="Picture after" accept="image/*" onFiles={after}>
            {busy ? 'Keeping it' : 'Add the picture after'}
          </FileButton>
        )}
        <span className="note">
          <Clock at={photo.at} day />, {photo.by}, in {photo.stop}
        </span>
      </div>
    </div>
  );
}
