import { demand } from '../../../refusal';
import { Type } from '../../../schema/words';
import { ON_FACE_OR_PHOTO, photoOf, withFaces, withPins } from '../../pins';
import { kind } from '../kind';

/** A pin is taken away again. */
export const pinRemoved = kind({
  type: 'pin.removed',
  payload: { ...ON_FACE_OR_PHOTO, pin: Type.Integer({ minimum: 0, maximum: 200 }) },
  admit: 'always',
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
  reports: 'nothing',
  whileParked: 'taken',
});
