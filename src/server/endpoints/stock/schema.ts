import { closed, Line, Moment, Name, oneOf, Text, Type, Ulid } from '../../../core/schema/words';
import { type Holding, MOVEMENTS, STOCK_PLACES, type StockItem } from '../../../core/stock';

/** A thing of the store, as it is kept. */
export const SaveItemSchema = closed(
  {
    version: Type.Integer({ minimum: 0 }),
    item: Type.Unsafe<StockItem>(
      closed({
        id: Ulid,
        what: Line,
        unit: Type.String({ maxLength: 20 }),
        place: closed({ kind: oneOf(STOCK_PLACES), label: Type.String({ maxLength: 60 }) }),
        models: Type.Array(Name, { maxItems: 100 }),
        elements: Type.Array(Name, { maxItems: 100 }),
        minimum: Type.Number(),
        price: Type.Optional(Type.Number()),
        supplier: Type.Optional(Line),
        reference: Type.Optional(Line),
        useBy: Type.Optional(Type.String({ maxLength: 10 })),
        oneTime: Type.Optional(Type.Boolean()),
        litres: Type.Optional(Type.Number()),
        cell: Type.Optional(
          closed({
            chemistry: Name,
            series: Type.Number(),
            dateCode: Type.Optional(Type.String({ maxLength: 20 })),
            restVolts: Type.Optional(Type.Number()),
            lookedAt: Type.Optional(Type.String({ maxLength: 10 })),
          }),
        ),
      }),
    ),
  },
  { $id: 'SaveItem', title: 'A thing of the store; version 0 for a new one' },
);

/** One line of its ledger. */
export const MovementSchema = closed(
  {
    id: Ulid,
    item: Ulid,
    at: Moment,
    by: Name,
    kind: oneOf(MOVEMENTS),
    count: Type.Number(),
    job: Type.Optional(closed({ id: Ulid, tag: Name })),
    why: Type.Optional(Text),
  },
  { $id: 'Movement', title: 'A movement of the store' },
);

export const HoldingAnswer = Type.Unsafe<Holding>({ type: 'object' });
