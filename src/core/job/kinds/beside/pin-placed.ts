import { demand } from '../../../refusal';
import { Name, Type } from '../../../schema/words';
import { checkedFaces, ON_FACE_OR_PHOTO, photoOf, withFaces, withPins } from '../../pins';
import { kind } from '../kind';
import { ItemId } from '../tray/draft-schema';

/** A numbered pin on a face (millimetres) or on a picture (0 to 1 of its width and height). */
export const pinPlaced = kind({
  type: 'pin.placed',
  payload: { ...ON_FACE_OR_PHOTO, x: Type.Number(), y: Type.Number(), on: Name, item: Type.Optional(ItemId) },
  admit: 'always',
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
      return checkedFaces(
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
  reports: 'nothing',
  whileParked: 'taken',
});
