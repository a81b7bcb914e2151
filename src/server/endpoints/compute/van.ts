import { agrees, closed, Name, type Says, Type } from '../../../core/schema/words';
import { type VanRequest, van } from '../../../core/van';
import { computation } from '../../endpoint';

const VanRequestSchema = closed(
  {
    space: Type.Number(),
    items: Type.Array(
      closed({
        id: Name,
        size: Type.Number(),
        gain: Type.Number(),
        mustHave: Type.Optional(Type.Boolean()),
        pNeeded: Type.Optional(Type.Number()),
      }),
      { maxItems: 2000 },
    ),
  },
  { $id: 'VanRequest', title: 'What could go into the van' },
);
agrees<Says<typeof VanRequestSchema, VanRequest>>();

/** What goes into the van */
export const computeVan = computation({
  name: 'van',
  summary: 'What goes into the van: what must, and what is worth most within the space',
  request: VanRequestSchema,
  megabytes: 1,
  answer: closed(
    {
      take: Type.Array(Name),
      gain: Type.Number(),
      chance: Type.Optional(Type.Number()),
      optimal: Type.Boolean(),
    },
    { $id: 'VanAnswer' },
  ),
  run: van,
  heavy: 'van',
});
