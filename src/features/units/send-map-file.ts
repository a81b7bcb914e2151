import type { Failure } from './send';

const MOST_MEGABYTES = 8;

/** Sends a map file, JSON or zip, to become a new unit; answers its id, or why it was not taken. */
export async function sendMapFile(
  file: File,
): Promise<{ ok: true; data: { id: string } } | { ok: false; failure: Failure }> {
  const fail = (reason: string, path = '') => ({ ok: false as const, failure: { reason, path } });
  if (file.size > MOST_MEGABYTES * 1024 * 1024) return fail(`the file is over ${MOST_MEGABYTES} MB`);
  const name = encodeURIComponent(file.name.replace(/(\.map)?\.(json|zip)$/i, ''));
  try {
    const res = await fetch(`/api/units/import?name=${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    });
    const data = await res.json().catch(() => null);
    if (res.ok) return { ok: true, data: data as { id: string } };
    const problem = data as { detail?: string; path?: string } | null;
    return fail(problem?.detail ?? `the server answered ${res.status}`, problem?.path);
  } catch {
    return fail('no connection to the server. Try again when it is back');
  }
}
