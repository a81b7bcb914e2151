import { closed, Line, Name, oneOf, type Static, type TObject, Type, Ulid } from '../../schema/words';
import { type UnitMap, validateMap } from '../../unit';
import { UnitMapSchema } from '../../unit/schema';
import type { JobState } from '../state';
import { startOf } from '../state';
import type { Meta } from './kind';

/** What the first event of every job carries: the whole map, so that a job needs nothing beside itself. */
export const OPENED = {
  job: Ulid,
  tag: Type.String({ minLength: 1, maxLength: 20 }),
  map: Type.Unsafe<UnitMap>(UnitMapSchema),
  unit: Type.Optional(closed({ id: Name, version: Type.Integer({ minimum: 1 }) })),
  place: Type.Optional(Line),
  learned: Type.Optional(
    closed({
      jobs: Type.Integer({ minimum: 0 }),
      weights: Type.Array(
        closed({
          element: Name,
          weight: Type.Number({ exclusiveMinimum: 0 }),
          faults: Type.Integer({ minimum: 0 }),
        }),
        { maxItems: 1000 },
      ),
    }),
  ),
  practice: Type.Optional(
    closed({
      exercise: Ulid,
      hidden: closed({
        faults: Type.Array(
          closed({ id: Name, pattern: oneOf(['always', 'now and then', 'rarely'] as const) }),
          { minItems: 1, maxItems: 2 },
        ),
      }),
      seed: Type.Integer(),
      coach: Type.Boolean(),
    }),
  ),
};

export type JobOpened = Meta & { type: 'job.opened' } & Static<TObject<typeof OPENED>>;

/**
 * State of a job that has just been opened.
 *
 * @param e the opening
 * @returns the job with nothing recorded
 * @throws Refusal when the map does not hold together
 * @example open(opened).stop // 'take in'
 */
export function open(e: JobOpened): JobState {
  validateMap(e.map);
  return startOf({
    id: e.job,
    tag: e.tag,
    openedAt: e.at,
    map: e.map,
    whole: e.map,
    ...(e.learned ? { learned: e.learned } : {}),
    ...(e.unit ? { unit: e.unit } : {}),
    ...(e.place ? { place: e.place } : {}),
    ...(e.practice ? { practice: e.practice } : {}),
  });
}
