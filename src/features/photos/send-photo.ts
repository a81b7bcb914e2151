import type { Failure } from '../units/send';

const MOST_MEGABYTES = 25;

/** Sends a picture to be kept; answers its name and size, or why it was not. */
export async function sendPhoto(file: Blob): Promise<
  | { ok: true; data: { file: string; width: number; height: number } }
  /** `away`: the server cannot be reached, or cannot take it now */
  | { ok: false; away: boolean; failure: Failure }
> {
  const fail = (reason: string, away = false) => ({
    ok: false as const,
    away,
    failure: { reason, path: '/photo' },
  });
  if (file.size > MOST_MEGABYTES * 1024 * 1024) return fail(`it is over ${MOST_MEGABYTES} MB`);
  try {
    const res = await fetch('/api/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    });
    const data = await res.json().catch(() => null);
    if (res.ok) return { ok: true, data };
    const reason = (data as { detail?: string } | null)?.detail ?? `the server answered ${res.status}`;
    // Signed out, too many at once, or a fault of the server: it may be taken later.
    return fail(reason, res.status === 401 || res.status === 429 || res.status >= 500);
  } catch {
    return fail('no connection to the server. It was not kept: add it again when it is back', true);
  }
}
