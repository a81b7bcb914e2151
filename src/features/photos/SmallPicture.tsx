import type { Photo } from '../../core/job';

/** A picture of a job in small, whole rows of them of one height. */
export const SmallPicture = ({ photo: p }: { photo: Photo }) => (
  <img
    src={`/api/photos/${p.file}?size=small`}
    alt={p.caption || `Picture taken in ${p.stop}`}
    loading="lazy"
    width={p.width}
    height={p.height}
    className="w-full h-[104px] object-cover"
  />
);
