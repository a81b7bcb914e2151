import { ulid } from 'ulid';
import { jobPath } from '../../schemas/job-path';
import { author } from '../job/author';
import { type Failure, send } from './send';

/** Opens a job on a unit and goes to its Take in; answers why when it cannot. */
export async function openJobOn(unit: string, place?: string): Promise<Failure | null> {
  const sent = await send<{ id: string }>('/api/jobs', {
    job: ulid(),
    event: ulid(),
    at: new Date().toISOString(),
    by: author.get(),
    unit,
    ...(place ? { place } : {}),
  });
  if (!sent.ok) return sent.failure;
  window.location.assign(jobPath(sent.data.id, 'take in'));
  return null;
}
