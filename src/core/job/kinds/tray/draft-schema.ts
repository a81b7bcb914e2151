import {
  ITEM_KINDS,
  type ItemDraft,
  JOINT_IDS,
  OFF_STATES,
  PLACE_KINDS,
  type Place,
  UNDONE_BY,
} from '../../../ledger';
import { agrees, closed, Name, oneOf, type Says, Type } from '../../../schema/words';

/** Id of a thing of the tray. */
export const ItemId = Type.String({ minLength: 1, maxLength: 40 });

/** Where a thing is kept while it is off. */
export const PlaceSchema = closed({ kind: oneOf(PLACE_KINDS), label: Type.Optional(Name) });
agrees<Says<typeof PlaceSchema, Place>>();

/** A thing as it is recorded when it comes off. */
export const ItemDraftSchema = closed({
  kind: oneOf(ITEM_KINDS),
  name: Name,
  thread: Type.Optional(Name),
  lengthMm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 2000 })),
  drive: Type.Optional(Name),
  head: Type.Optional(Name),
  count: Type.Union([Type.Integer({ minimum: 1, maximum: 9999 }), Type.Null()]),
  from: Type.Optional(Name),
  contacts: Type.Optional(Type.Integer({ minimum: 1, maximum: 999 })),
  wires: Type.Optional(Type.Integer({ minimum: 1, maximum: 999 })),
  latch: Type.Optional(Type.Boolean()),
  joint: Type.Optional(oneOf(JOINT_IDS)),
  place: PlaceSchema,
  state: Type.Optional(oneOf(OFF_STATES)),
  undoneBy: Type.Optional(oneOf(UNDONE_BY)),
});
agrees<Says<typeof ItemDraftSchema, ItemDraft>>();
