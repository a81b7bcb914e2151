import { demand } from '../../../refusal';
import { Type, Ulid } from '../../../schema/words';
import { kind } from '../kind';

/** Which pictures stand on the owner’s page. */
export const picturesChosen = kind({
  type: 'pictures.chosen',
  payload: { photos: Type.Array(Ulid, { maxItems: 60 }) },
  admit: 'always',
  apply(state, { photos }) {
    for (const [i, id] of photos.entries())
      demand(
        state.photos.some((p) => p.id === id),
        'that picture is not in this job',
        `/photos/${i}`,
      );
    return { ...state, ownersPictures: [...new Set(photos)] };
  },
  says: ({ photos }) =>
    `${photos.length} ${photos.length === 1 ? 'picture' : 'pictures'} for the owner’s page`,
  reports: 'nothing',
  whileParked: 'taken',
});
