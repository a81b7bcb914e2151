import { ownPlace, type Role, reaches } from '../../core/people';
import type { Database } from '../../data/database';
import { isAnybodyThere } from '../../data/people';
import type { From } from '../endpoint';
import { Problem, problemResponse } from '../problem';
import { type Asking, endpointAt } from '../router';
import { whoShows } from './device';

/** Pages that show nothing of the workshop. */
const OPEN_PAGES = new Set(['/sign-in', '/beside', '/404', '/500']);

const isApi = (path: string) => path === '/api' || path.startsWith('/api/');

/** The least that is asked of who comes to an address. */
function asked(method: string, path: string): Role | 'anyone' {
  if (!isApi(path)) return OPEN_PAGES.has(path.replace(/\/$/, '')) ? 'anyone' : 'looker';
  try {
    return endpointAt(method, path).endpoint.who;
  } catch {
    // What is not there is told to those who may ask for what is.
    return 'looker';
  }
}

/** What the door found. */
export type Door = { asking: Asking; registered: boolean; turned: null } | { turned: Response };

const SIGNED_OUT = new Problem(
  401,
  'Signed out',
  'sign in to go on. What was not sent is kept in this browser',
);

/**
 * The one place that asks who comes in. Where nobody is registered everybody on this machine may; as soon
 * as somebody is, every page and every endpoint wants a device that is signed in, and the role it names.
 *
 * @param token what the browser shows
 * @returns who it is, or the answer that turns them away
 */
export async function atTheDoor(
  db: Database,
  { request, url, from, token }: { request: Request; url: URL; from: From; token: string | undefined },
  now: Date,
): Promise<Door> {
  const registered = await isAnybodyThere(db.read);
  if (!registered) return { asking: { person: null, device: '', from }, registered, turned: null };
  const here = await whoShows(db, token, now);
  const asking = { person: here?.person ?? null, device: here?.device ?? '', from };
  const wanted = asked(request.method, url.pathname);
  if (wanted === 'anyone') return { asking, registered, turned: null };
  if (!here) {
    if (isApi(url.pathname)) return { turned: problemResponse(SIGNED_OUT) };
    const to = ownPlace(url.pathname + url.search);
    return {
      turned: new Response(null, {
        status: 303,
        headers: {
          location: to === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(to)}`,
          'cache-control': 'no-store',
        },
      }),
    };
  }
  if (!reaches(here.person.role, wanted))
    return {
      turned: problemResponse(
        new Problem(
          403,
          'Not for this role',
          `${here.person.name} is ${here.person.role} here; this is for ${wanted}`,
        ),
      ),
    };
  return { asking, registered, turned: null };
}
