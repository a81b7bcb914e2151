import { Line, Name, type Static, Type } from '../core/schema/words';

/** A catalogue may say more than is read here. */
export const CatalogueAnswerSchema = Type.Object(
  {
    /** why there is nothing to ask, where no catalogue is set */
    none: Type.Optional(Line),
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
