import { closed, Moment, type Static, Type, Ulid } from '../core/schema/words';
import { JobEventSchema } from './job-event';

/** A whole job as a file: everything derives from its events, so they are all it holds. */
export const JobFileSchema = Type.Object(
  {
    format: Type.Literal('mulch job'),
    version: Type.Literal(1),
    exportedAt: Moment,
    job: Ulid,
    events: Type.Array(JobEventSchema, { minItems: 1, maxItems: 50_000 }),
    /** its pictures, in base 64 */
    photos: Type.Optional(
      Type.Array(
        closed({
          file: Type.String({ pattern: '^[0-9a-f]{64}$' }),
          data: Type.String({ maxLength: 20_000_000 }),
        }),
        { maxItems: 400 },
      ),
    ),
  },
  { $id: 'JobFile', title: 'A job as a file', additionalProperties: true },
);
export type JobFile = Static<typeof JobFileSchema>;
