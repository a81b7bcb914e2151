import { demand } from '../../refusal';
import { checkFaces, type Face, type UnitMap } from '../../unit';
import type { JobState, Photo } from '../state';
import { kind } from './kind';

const withFaces = (state: JobState, change: (faces: Face[]) => Face[]): JobState => {
  const on = (map: UnitMap): UnitMap => ({ ...map, faces: change(map.faces ?? []) });
  return { ...state, map: on(state.map), whole: on(state.whole) };
};

const checked = (state: JobState): JobState => {
  checkFaces(state.map.faces ?? [], new Set(state.map.access.map((a) => a.id)), '/face');
  return state;
};

/** A side of the unit drawn or pictured at the bench, so that pins have something to stand on. */
export const faceAdded = kind<{ face: Face }>({
  apply(state, { face }) {
    demand((state.map.faces ?? []).length < 40, 'a unit has up to 40 faces', '/face');
    return checked(withFaces(state, (faces) => [...faces, face]));
  },
  says: (p) => `Face: ${p.face.name}, ${p.face.width} × ${p.face.height}\u00a0mm`,
});

type Where = { face?: string; photo?: string };

const photoOf = (state: JobState, id: string | undefined): Photo => {
  const photo = state.photos.find((p) => p.id === id);
  demand(photo, 'no such picture in this job', '/photo');
  return photo;
};
const withPins = (state: JobState, photo: Photo, pins: Photo['pins']): JobState => ({
  ...state,
  photos: state.photos.map((p) => {
    const { pins: _, ...rest } = photo;
    return p.id === photo.id ? { ...rest, ...(pins?.length ? { pins } : {}) } : p;
  }),
});

/** A numbered pin on a face (millimetres) or on a picture (0 to 1 of its width and height). */
export const pinPlaced = kind<Where & { x: number; y: number; on: string; item?: string }>({
  apply(state, { face, photo, x, y, on, item }) {
    demand(on.trim() !== '', 'say what the pin is on', '/on');
    demand((face === undefined) !== (photo === undefined), 'a pin is on one face or on one picture', '/face');
    demand(
      item === undefined || state.ledger.items.some((i) => i.id === item),
      'there is no such thing in the tray',
      '/item',
    );
    if (face !== undefined) {
      demand(
        state.map.faces?.some((f) => f.id === face),
        `${face} is no face of this unit`,
        '/face',
      );
      return checked(
        withFaces(state, (faces) =>
          faces.map((f) =>
            f.id === face ? { ...f, pins: [...(f.pins ?? []), { x, y, on: on.trim() }] } : f,
          ),
        ),
      );
    }
    const p = photoOf(state, photo);
    demand(x >= 0 && x <= 1 && y >= 0 && y <= 1, 'the pin lies off the picture', '/x');
    demand((p.pins?.length ?? 0) < 200, 'a picture has up to 200 pins', '/photo');
    return withPins(state, p, [...(p.pins ?? []), { x, y, on: on.trim(), ...(item ? { item } : {}) }]);
  },
  says: (p) => `Pin on ${p.on}`,
});

export const pinRemoved = kind<Where & { pin: number }>({
  apply(state, { face, photo, pin }) {
    const without = <T>(list: T[] | undefined): T[] => {
      demand(list && pin < list.length && pin >= 0, 'there is no such pin', '/pin');
      return list.filter((_, i) => i !== pin);
    };
    if (face !== undefined)
      return withFaces(state, (faces) =>
        faces.map((f) => (f.id === face ? { ...f, pins: without(f.pins) } : f)),
      );
    const p = photoOf(state, photo);
    return withPins(state, p, without(p.pins));
  },
  says: (p) => `Pin ${p.pin + 1} taken away`,
});
