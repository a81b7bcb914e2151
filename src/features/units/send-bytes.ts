import type { Failure } from './send';

/** Sends a file as it is; answers what came back, or why it was not taken in words. */
export async function sendBytes<T>(
  url: string,
  file: Blob,
): Promise<{ ok: true; data: T } | { ok: false; failure: Failure }> {
  const fail = (reason: string, path = '') => ({ ok: false as const, failure: { reason, path } });
  try {
    const res = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': file.type.startsWith('image/') ? file.type : 'application/octet-stream' },
      body: file,
    });
    const data = await res.json().catch(() => null);
    if (res.ok) return { ok: true, data: data as T };
    const problem = data as { detail?: string; path?: string } | null;
    return fail(problem?.detail ?? `the server answered ${res.status}`, problem?.path);
  } catch {
    return fail('no connection to the server. Try again when it is back');
  }
}
