import { useEffect, useState } from 'react';
import { designated } from '../../../core/job';
import { Refusal } from '../../../core/refusal';
import { type Face, faceText, readFaceText, type UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { FaceDrawing } from '../../../ui/FaceDrawing';
import { AreaField } from '../../../ui/Field';
import { PinMark } from '../../../ui/PinMark';
import { PinForm } from '../../faces/PinForm';

/** What is drawn on each face, written one thing a line, and its pins, set by tap or typed. */
export function FacesDrawn({ map, onChange }: { map: UnitMap; onChange(map: UnitMap, at: string): void }) {
  const faces = map.faces ?? [];
  const [open, setOpen] = useState(0);
  const shown = Math.min(open, faces.length - 1);
  const face = faces[shown];
  if (!face) return null;
  const put = (next: Face, at: string) =>
    onChange({ ...map, faces: faces.map((f, i) => (i === shown ? next : f)) }, at);
  return (
    <section aria-label="Drawn on the face" className="grid gap-3 border-t border-rule-strong pt-3">
      <div className="flex flex-wrap gap-2">
        {faces.map((f, i) => (
          <button
            key={f.id}
            type="button"
            aria-pressed={i === shown}
            className={`act-2 small ${i === shown ? 'border-bark! border-2! font-[650]' : ''}`}
            onClick={() => setOpen(i)}
          >
            {f.name}
          </button>
        ))}
      </div>
      <OneFace
        key={face.id}
        map={map}
        face={face}
        onChange={put}
        onHeader={(id, at) =>
          onChange(
            {
              ...map,
              faces: faces.map((f, i) =>
                i === shown ? { ...f, pins: [...(f.pins ?? []), { x: at.x, y: at.y, on: id }] } : f,
              ),
              headers: (map.headers ?? []).map((h) => (h.id === id ? { ...h, at: { ...h.at, ...at } } : h)),
            },
            '',
          )
        }
        at={`faces/${shown}`}
      />
    </section>
  );
}

/** Whether a face is the one of a board: it is called so, or it begins with its mark. */
const onBoard = (face: Face, board: string) =>
  face.id.toLowerCase() === board.toLowerCase() ||
  face.name.toLowerCase().startsWith(`${board.toLowerCase()} `);

function OneFace({
  map,
  face,
  onChange,
  onHeader,
  at,
}: {
  map: UnitMap;
  face: Face;
  onChange(f: Face, at: string): void;
  /** a header was tapped into place: the face is its board’s */
  onHeader(id: string, at: { x: number; y: number }): void;
  at: string;
}) {
  const drawn = faceText(face.shapes ?? []);
  const [text, setText] = useState(drawn);
  const [wrong, setWrong] = useState<string | null>(null);
  const [placing, setPlacing] = useState<string | null>(null);
  // Undo changes the face from outside; what is typed and cannot be read yet stays.
  useEffect(() => {
    setText((t) => {
      try {
        return faceText(readFaceText(t)) === drawn ? t : drawn;
      } catch {
        return t;
      }
    });
  }, [drawn]);
  const write = (typed: string) => {
    setText(typed);
    try {
      const shapes = readFaceText(typed);
      setWrong(null);
      const { shapes: _, ...rest } = face;
      onChange(shapes.length ? { ...rest, shapes } : rest, `${at}/shapes`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong(error.message);
    }
  };
  const pins = face.pins ?? [];
  const place = (x: number, y: number) => {
    const header = map.headers?.find((h) => h.id === placing && onBoard(face, h.at.board));
    if (header) onHeader(header.id, { x, y });
    else onChange({ ...face, pins: [...pins, { x, y, on: placing ?? '' }] }, '');
    setPlacing(null);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_430px] max-[1000px]:grid-cols-1 gap-4">
      <AreaField
        label={`Drawn on ${face.name}, mm from the top left, one thing a line`}
        hint="Such as: panel 0 0 210 148 rear cover; port 10 130 30 12 mains; hole 6 6 M3 rear cover longest 10. Also vent, label, window, board, part."
        rows={14}
        className="mono"
        value={text}
        onChange={(e) => write(e.target.value)}
        wrong={wrong ?? undefined}
        spellCheck={false}
      />
      <div className="grid gap-2 content-start">
        <FaceDrawing
          width={face.width}
          height={face.height}
          photo={face.photo ? `/api/photos/${face.photo}` : undefined}
          shapes={(face.shapes ?? []).map((s) => ({ ...s, off: false }))}
          pins={pins.map((p, i) => ({ number: i + 1, x: p.x, y: p.y, tone: 'plain' as const }))}
          label={`${face.name}, ${face.width} by ${face.height} mm`}
          most={{ w: 424, h: 320 }}
          onTap={placing ? place : undefined}
        />
        {pins.length > 0 && (
          <ul className="columns-2 gap-4 text-[14px]">
            {pins.map((p, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: pins are known by their number
              <li key={i} className="flex gap-2 items-center break-inside-avoid min-h-[44px]">
                <PinMark number={i + 1} tone="plain" />
                <span className="flex-1 leading-[1.2]">{designated(map, p.on).words}</span>
                <Second
                  small
                  aria-label={`Take pin ${i + 1}, ${p.on}, away`}
                  onClick={() => {
                    const left = pins.filter((_, k) => k !== i);
                    const { pins: _, ...rest } = face;
                    onChange(left.length ? { ...rest, pins: left } : rest, '');
                  }}
                >
                  −
                </Second>
              </li>
            ))}
          </ul>
        )}
        <PinForm
          map={map}
          placing={placing}
          onPlacing={setPlacing}
          size={{ width: face.width, height: face.height, unit: 'mm' }}
          onPlace={place}
        />
      </div>
    </div>
  );
}
