import { countOf } from '../../../data/jobs';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { liveStream } from '../../live/stream';
import { deviceWords, isSignedIn } from '../../people/device';
import { Problem } from '../../problem';

/** What happens in a job, as it happens. */
export const followJob = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/live',
  summary: 'What happens in a job, as server-sent events: moved with the number of entries, others, beat',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url, request, person, device }) {
    const job = params.id ?? '';
    const said = request.headers.get('last-event-id') ?? url.searchParams.get('after') ?? '0';
    const after = Number(said);
    if (!Number.isInteger(after) || after < 0)
      throw new Problem(400, 'Not as described', 'after must be a whole number', 'after');
    const db = await database();
    if ((await countOf(db.read, job)) === 0)
      throw new Problem(404, 'No such job', `there is no job ${job} on this Mulch`);
    const stream = liveStream(
      db,
      { job, after, name: person?.name ?? '', device: deviceWords(request.headers.get('user-agent')) },
      async () => person === null || isSignedIn(db, device, new Date()),
    );
    return new Response(stream, {
      headers: {
        'content-type': 'text/event-stream',
        // A proxy on the way is not to wait until there is more of it.
        'cache-control': 'no-store, no-transform',
        'x-accel-buffering': 'no',
      },
    });
  },
});
