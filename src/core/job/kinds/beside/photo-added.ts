import { demand } from '../../../refusal';
import { Line, Type, Ulid } from '../../../schema/words';
import { itemOf } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from '../tray/draft-schema';

/** A picture, kept with what it shows. */
export const photoAdded = kind({
  type: 'photo.added',
  payload: {
    file: Type.String({ pattern: '^[0-9a-f]{64}$' }),
    caption: Line,
    width: Type.Integer({ minimum: 1, maximum: 20_000 }),
    height: Type.Integer({ minimum: 1, maximum: 20_000 }),
    after: Type.Optional(Ulid),
    of: Type.Optional(ItemId),
  },
  admit: 'always',
  apply(state, photo, { id, at, by }) {
    demand(state.photos.length < 400, 'a job keeps up to 400 pictures', '/file');
    demand(
      photo.after === undefined || state.photos.some((p) => p.id === photo.after),
      'the picture before it is not in this job',
      '/after',
    );
    demand(
      photo.of === undefined || itemOf(state, photo.of) !== undefined,
      'the thing that it shows is not in the tray',
      '/of',
    );
    return {
      ...state,
      photos: [...state.photos, { ...photo, caption: photo.caption.trim(), id, at, by, stop: state.stop }],
    };
  },
  says: (p) => `Picture${p.caption.trim() ? `: ${p.caption.trim()}` : ''}`,
  reports: 'nothing',
  whileParked: 'taken',
});
