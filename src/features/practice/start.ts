import { ulid } from 'ulid';
import { type Exercise, FIND_IT, type Wanted } from '../../core/practice';
import { jobPath } from '../../schemas/job-path';
import { author } from '../job/author';
import { type Failure, send } from '../units/send';

const stamp = () => ({ exercise: ulid(), at: new Date().toISOString(), by: author.get() });
/** Where an exercise is done. */
export const exercisePath = (e: Pick<Exercise, 'id' | 'kind' | 'job' | 'endedAt'>): string =>
  e.kind === FIND_IT && e.job && !e.endedAt ? jobPath(e.job, 'trace') : `/practice/${e.id}`;

/** Starts an exercise and goes to it; answers why when it cannot. */
export async function start(wanted: Wanted): Promise<Failure | null> {
  const sent = await send<Exercise>('/api/practice', { ...stamp(), ...wanted });
  if (!sent.ok) return sent.failure;
  window.location.assign(exercisePath(sent.data));
  return null;
}

/** Goes over a run again from one of its decisions. */
export async function again(exercise: string, decisions: number): Promise<Failure | null> {
  const sent = await send<Exercise>(`/api/practice/${exercise}/again`, { ...stamp(), decisions });
  if (!sent.ok) return sent.failure;
  window.location.assign(exercisePath(sent.data));
  return null;
}
