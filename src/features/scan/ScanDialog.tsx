import { useEffect, useRef, useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { beside } from '../../workers/beside';
import type { ScanWorker } from '../../workers/scan.worker';

const reader = beside<ScanWorker>(
  () => new Worker(new URL('../../workers/scan.worker.ts', import.meta.url), { type: 'module' }),
);

/** Longest side of what is looked at: enough for a code, and quick. */
const LONG_SIDE = 1280;
const EVERY_MS = 250;

/** What the code says in something that can be drawn. */
async function codeIn(source: CanvasImageSource, width: number, height: number): Promise<string | null> {
  const scale = Math.min(1, LONG_SIDE / Math.max(width, height, 1));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) return null;
  pen.drawImage(source, 0, 0, canvas.width, canvas.height);
  const { data } = pen.getImageData(0, 0, canvas.width, canvas.height);
  return reader().read({ data, width: canvas.width, height: canvas.height });
}

/** A code is read: from the live camera where the browser gives one, else from a picture. */
export function ScanDialog({
  title,
  onRead,
  onClose,
}: {
  title: string;
  onRead(text: string): void;
  onClose(): void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [live, setLive] = useState<'asking' | 'looking' | 'none'>('asking');
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState('');
  const done = useRef(onRead);
  done.current = onRead;
  useEffect(() => {
    let stream: MediaStream | null = null;
    let over = false;
    const look = async () => {
      const shown = video.current;
      if (over || !shown) return;
      const text = shown.videoWidth
        ? await codeIn(shown, shown.videoWidth, shown.videoHeight).catch(() => null)
        : null;
      if (over) return;
      if (text) return done.current(text);
      setTimeout(look, EVERY_MS);
    };
    const begin = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      if (over || !video.current) return stream.getTracks().forEach((t) => void t.stop());
      video.current.srcObject = stream;
      await video.current.play();
      setLive('looking');
      void look();
    };
    // A browser gives its camera over an encrypted way alone, and only when asked for it.
    begin().catch(() => !over && setLive('none'));
    return () => {
      over = true;
      stream?.getTracks().forEach((t) => void t.stop());
    };
  }, []);
  const fromPicture = async ([file]: [File, ...File[]]) => {
    setBusy(true);
    setWrong('');
    const picture = await createImageBitmap(file).catch(() => null);
    const text = picture && (await codeIn(picture, picture.width, picture.height).catch(() => null));
    setBusy(false);
    if (text) onRead(text);
    else
      setWrong(
        picture ? 'No code was found in it. Nearer, straight, and in good light.' : 'That is no picture.',
      );
  };
  return (
    <Dialog open onClose={onClose} title={title}>
      <div className="grid gap-3 justify-items-start">
        <video
          ref={video}
          muted
          playsInline
          aria-label="What the camera sees"
          className={`w-full max-h-[50vh] bg-bark ${live === 'looking' ? '' : 'hidden'}`}
        />
        <p className="note" role="status">
          {live === 'looking'
            ? 'Hold the code before the camera.'
            : live === 'asking'
              ? 'Asking for the camera.'
              : 'This browser gives no camera here. Take a picture of the code instead.'}
        </p>
        <FileButton
          label="Picture of a code"
          accept="image/*"
          capture="environment"
          disabled={busy}
          onFiles={(files) => void fromPicture(files)}
        >
          {busy ? 'Reading it' : 'From a picture'}
        </FileButton>
        {wrong && <Wrong>{wrong}</Wrong>}
      </div>
    </Dialog>
  );
}
