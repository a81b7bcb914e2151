import type { Failure } from './send';
import { sendBytes } from './send-bytes';

const MOST_MEGABYTES = 8;

/** Sends a map file, JSON or zip, to become a new unit; answers its id, or why it was not taken. */
export async function sendMapFile(
  file: File,
): Promise<{ ok: true; data: { id: string } } | { ok: false; failure: Failure }> {
  const fail = (reason: string, path = '') => ({ ok: false as const, failure: { reason, path } });
  if (file.size > MOST_MEGABYTES * 1024 * 1024) return fail(`the file is over ${MOST_MEGABYTES} MB`);
  const name = encodeURIComponent(file.name.replace(/(\.map)?\.(json|zip)$/i, ''));
  return sendBytes(`/api/units/import?name=${name}`, file);
}
