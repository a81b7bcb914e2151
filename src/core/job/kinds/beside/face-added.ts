import { demand } from '../../../refusal';
import { Type } from '../../../schema/words';
import type { Face } from '../../../unit';
import { FaceSchema } from '../../../unit/schema';
import { checkedFaces, withFaces } from '../../pins';
import { kind } from '../kind';

/** A side of the unit drawn or pictured at the bench, so that pins have something to stand on. */
export const faceAdded = kind({
  type: 'face.added',
  payload: { face: Type.Unsafe<Face>(FaceSchema) },
  admit: 'always',
  apply(state, { face }) {
    demand((state.map.faces ?? []).length < 40, 'a unit has up to 40 faces', '/face');
    return checkedFaces(withFaces(state, (faces) => [...faces, face]));
  },
  says: (p) => `Face: ${p.face.name}, ${p.face.width} × ${p.face.height}\u00a0mm`,
  reports: 'nothing',
  whileParked: 'taken',
});
