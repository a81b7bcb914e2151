import { closed, Line, Name, type Static, Type } from '../core/schema/words';

/** What outside devices and services at the bench are asked, and answer. */
const Unit = Type.Optional(Type.String({ minLength: 1, maxLength: 40, pattern: '^\\S+$' }));

export const ReadConsoleSchema = closed(
  { unit: Unit },
  { $id: 'ReadConsole', title: 'All settings of the unit on the console' },
);

export const WriteConsoleSchema = closed(
  {
    unit: Unit,
    changes: Type.Array(
      closed({
        key: Type.String({ minLength: 1, maxLength: 120, pattern: '^[^\\s]+$' }),
        value: Type.String({ minLength: 1, maxLength: 400, pattern: '^[^\\r\\n]+$' }),
      }),
      { minItems: 1, maxItems: 200 },
    ),
  },
  { $id: 'WriteConsole', title: 'Write chosen settings and read every one of them back' },
);

/** A catalogue may say more than is read here. */
export const CatalogueAnswerSchema = Type.Object(
  {
    parts: Type.Array(
      Type.Object({
        number: Name,
        name: Line,
        maker: Line,
        price: Type.Object({
          amount: Type.Integer({ minimum: 0 }),
          currency: Type.String({ minLength: 3, maxLength: 3 }),
        }),
        leadDays: Type.Number({ minimum: 0 }),
        stock: Type.Integer({ minimum: 0 }),
      }),
      { maxItems: 500 },
    ),
  },
  { $id: 'CatalogueAnswer', title: 'Parts of the catalogue; money in minor units' },
);
export type CatalogueAnswer = Static<typeof CatalogueAnswerSchema>;
export type CatalogueOffer = CatalogueAnswer['parts'][number];
