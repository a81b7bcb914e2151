import { BatteryFitRequestSchema } from '../core/fit/schema';
import type { TSchema } from '../core/schema/words';
import { UnitMapSchema } from '../core/unit/schema';
import { CatalogueAnswerSchema } from '../schemas/catalogue';
import { JobEventSchema } from '../schemas/job-event';
import { JobFileSchema } from '../schemas/job-file';
import { ENDPOINTS } from './endpoints';

/** Documents that are checked beside the bodies of endpoints: in files, from other services, inside others. */
const BESIDE: TSchema[] = [
  UnitMapSchema,
  JobEventSchema,
  JobFileSchema,
  CatalogueAnswerSchema,
  BatteryFitRequestSchema,
];

/** Every document that crosses a border inwards, by its name. Validators are compiled from this list. */
export function checkedDocuments(): Record<string, TSchema> {
  const all = [...BESIDE, ...ENDPOINTS.flatMap((e) => (e.body ? [e.body] : []))];
  return Object.fromEntries(
    all.map((d) => {
      if (!d.$id) throw new Error('a document that is checked needs a name');
      return [d.$id, d];
    }),
  );
}
