import type { Person } from '../../core/people';
import type { Database } from '../../data/database';
import { devicesOf } from '../../data/people';

/** A browser that is signed in, as its owner sees it. */
export interface OwnDevice {
  id: string;
  words: string;
  startedAt: string;
  seenAt: string;
  endsAt: string;
  /** the one that asks */
  here: boolean;
}

/** Devices of somebody, the one seen last first; none where nobody is signed in. */
export async function ownDevices(
  db: Database,
  person: Person | null,
  device: string,
  now: Date,
): Promise<OwnDevice[]> {
  if (!person) return [];
  const rows = await devicesOf(db.read, person.id, now.toISOString());
  return rows.map(({ id, words, startedAt, seenAt, endsAt }) => ({
    id,
    words,
    startedAt,
    seenAt,
    endsAt,
    here: id === device,
  }));
}
