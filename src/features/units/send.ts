export interface Failure {
  reason: string;
  path: string;
}

/**
 * Sends a command and answers what came back, or why not in words. A lost connection is a failure
 * like any other: what was typed stays where it is.
 */
export async function send<T>(
  url: string,
  body: unknown,
  method: 'POST' | 'PUT' | 'DELETE' = 'POST',
): Promise<{ ok: true; data: T } | { ok: false; failure: Failure }> {
  try {
    const res = await fetch(url, {
      method,
      ...(body === null
        ? {}
        : {
            headers: { 'content-type': 'application/json' },
            body: typeof body === 'string' ? body : JSON.stringify(body),
          }),
    });
    const data = await res.json().catch(() => null);
    if (res.ok) return { ok: true, data: data as T };
    const problem = data as { detail?: string; path?: string } | null;
    return {
      ok: false,
      failure: { reason: problem?.detail ?? `the server answered ${res.status}`, path: problem?.path ?? '' },
    };
  } catch {
    return {
      ok: false,
      failure: {
        reason: 'no connection to the server. Nothing was lost: try again when it is back',
        path: '',
      },
    };
  }
}
