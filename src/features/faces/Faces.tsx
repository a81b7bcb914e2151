import { useMemo, useState } from 'react';
import { type FaceNow, facesNow, faceToShow, type PinTone } from '../../core/job';
import { Second } from '../../ui/Action';
import { FaceDrawing } from '../../ui/FaceDrawing';
import { Wrong } from '../../ui/Field';
import { PinMark } from '../../ui/PinMark';
import { useJob } from '../job/use-job';
import { AddFace } from './AddFace';
import { PinForm } from './PinForm';

export const TONE_WORDS: Record<PinTone, string> = {
  plain: '',
  wanted: 'wanted here',
  off: 'off',
  live: 'live, or not known',
  cleared: 'cleared',
};

/** The sides of the unit as they stand now, with what sits where; pins are set in two taps. */
export function Faces({
  next,
  title = 'Faces',
  most,
}: {
  next?: string | undefined;
  title?: string;
  /** room for the drawing, px */
  most?: { w: number; h: number };
}) {
  const { job, record } = useJob();
  const faces = useMemo(() => facesNow(job), [job]);
  const best = faceToShow(faces, next);
  const [picked, setPicked] = useState<{ id: string; when: string | undefined } | null>(null);
  const [placing, setPlacing] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [chosen, setChosen] = useState<number>();
  const [wrong, setWrong] = useState<string | null>(null);
  // A face chosen by hand stays until the work moves on to another one.
  const shown = faces.find((f) => f.face.id === (picked?.when === best ? picked?.id : best)) ?? faces[0];
  const show = (id: string) => {
    setPicked({ id, when: best });
    setChosen(undefined);
    setAdding(false);
  };
  const place = (f: FaceNow, x: number, y: number) => {
    const refused = record('pin.placed', { face: f.face.id, x, y, on: placing ?? '' });
    setWrong(refused?.reason ?? null);
    if (!refused) setPlacing(null);
  };
  return (
    <section aria-label={title} className="grid gap-2 content-start min-w-0">
      {faces.length === 0 && !adding && (
        <p className="note">
          No side of this unit is drawn yet. A plain rectangle or a photograph does: then a pin in two taps
          says where a thing sits.
        </p>
      )}
      {adding && <AddFace onDone={(id) => (id ? show(id) : setAdding(false))} />}
      {shown && !adding && (
        <FaceDrawing
          width={shown.face.width}
          height={shown.face.height}
          photo={shown.face.photo ? `/api/photos/${shown.face.photo}` : undefined}
          shapes={shown.shapes.map(({ shape, off }) => ({ ...shape, off }))}
          pins={shown.pins.map(({ number, pin, tone }) => ({ number, x: pin.x, y: pin.y, tone }))}
          label={`${shown.face.name}, ${shown.face.width} by ${shown.face.height} mm: ${shown.pins.map((p) => `${p.number} ${p.what.words}${TONE_WORDS[p.tone] ? `, ${TONE_WORDS[p.tone]}` : ''}`).join('; ') || 'no pins'}`}
          chosen={chosen}
          {...(most ? { most } : {})}
          onTap={placing ? (x, y) => place(shown, x, y) : undefined}
        />
      )}
      <div className="flex flex-wrap gap-2 items-center">
        {faces.map((f) => (
          <button
            key={f.face.id}
            type="button"
            className={`act-2 small ${f === shown && !adding ? 'border-bark! border-2! font-[650]' : ''}`}
            aria-pressed={f === shown && !adding}
            onClick={() => show(f.face.id)}
          >
            {f.face.name}
            {!f.seen && <span className="note">covered</span>}
          </button>
        ))}
        <Second small aria-pressed={adding} onClick={() => setAdding(!adding)}>
          {faces.length ? '+' : 'Add a side'}
          {faces.length > 0 && <span className="sr-only">Add a side</span>}
        </Second>
      </div>
      {shown && !adding && (
        <>
          {!shown.seen && <p className="note">Seen once the {shown.face.under} is off.</p>}
          {shown.pins.length > 0 && (
            <ul className="columns-2 gap-4 text-[14px] leading-[1.2]">
              {shown.pins.map((p) => (
                <li key={p.number} className="break-inside-avoid">
                  <button
                    type="button"
                    className="flex gap-2 items-center text-left w-full min-h-[44px]"
                    aria-pressed={chosen === p.number}
                    onClick={() => setChosen(chosen === p.number ? undefined : p.number)}
                  >
                    <PinMark number={p.number} tone={p.tone} />
                    <span>
                      {p.what.words}
                      {TONE_WORDS[p.tone] && <b className="block">{TONE_WORDS[p.tone]}</b>}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          )}
          <PinForm
            map={job.map}
            placing={placing}
            onPlacing={setPlacing}
            size={{ width: shown.face.width, height: shown.face.height, unit: 'mm' }}
            onPlace={(x, y) => place(shown, x, y)}
          >
            {chosen !== undefined && (
              <Second
                small
                onClick={() => {
                  setWrong(record('pin.removed', { face: shown.face.id, pin: chosen - 1 })?.reason ?? null);
                  setChosen(undefined);
                }}
              >
                Take pin {chosen} away
              </Second>
            )}
          </PinForm>
          {wrong && <Wrong>{wrong}</Wrong>}
        </>
      )}
    </section>
  );
}
