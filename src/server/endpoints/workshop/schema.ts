import { closed, Line, Text, Type } from '../../../core/schema/words';

/** What a workshop says of itself. */
export const WorkshopSchema = closed(
  {
    name: Line,
    address: Text,
    logo: Type.Optional(Type.String({ pattern: '^[0-9a-f]{64}$', maxLength: 64 })),
    currency: Type.String({ maxLength: 10 }),
    ratePerHour: Type.Number(),
    warrantyMonths: Type.Number(),
  },
  { $id: 'Workshop', title: 'What the workshop says of itself; money in minor units' },
);
