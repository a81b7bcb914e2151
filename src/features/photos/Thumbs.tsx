import { useState } from 'react';
import type { Photo } from '../../core/job';
import { Clock } from '../../ui/Clock';
import { Dialog } from '../../ui/Dialog';
import { PhotoView } from './PhotoView';
import { SmallPicture } from './SmallPicture';

/** Pictures in small, each enlarged with one tap. */
export function Thumbs({
  photos,
  label,
  says,
}: {
  photos: Photo[];
  label: string;
  /** what stands beside the time of a picture */
  says?(p: Photo): string;
}) {
  const [shown, setShown] = useState<string | null>(null);
  const big = photos.find((p) => p.id === shown);
  if (photos.length === 0) return null;
  return (
    <>
      <ul className="flex flex-wrap gap-3" aria-label={label}>
        {photos.map((p) => (
          <li key={p.id} className="w-[150px]">
            <button
              type="button"
              className="block w-full border border-rule-strong bg-inset"
              onClick={() => setShown(p.id)}
            >
              <SmallPicture photo={p} />
            </button>
            <span className="note block leading-[1.2]">
              {p.caption || p.stop}
              {says?.(p)}, <Clock at={p.at} />
            </span>
          </li>
        ))}
      </ul>
      <Dialog
        wide="picture"
        open={big !== undefined}
        onClose={() => setShown(null)}
        title={big?.caption || 'Picture'}
      >
        {big && <PhotoView key={big.id} photo={big} />}
      </Dialog>
    </>
  );
}
