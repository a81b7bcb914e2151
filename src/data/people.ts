import { and, asc, eq, gt, isNull, lt, ne } from 'drizzle-orm';
import type { Person, Role } from '../core/people';
import type { Handle } from './database';
import { devices, links, people } from './tables';

export type PersonRow = typeof people.$inferSelect;
export type DeviceRow = typeof devices.$inferSelect;
export type LinkRow = typeof links.$inferSelect;

const PUBLIC = { id: people.id, name: people.name, role: people.role };

/** Everybody who may come in, by name. */
export const allPeople = (db: Handle): Promise<Person[]> =>
  db.select(PUBLIC).from(people).orderBy(asc(people.key));

/** Whether anybody may come in at all. */
export async function isAnybodyThere(db: Handle): Promise<boolean> {
  const [row] = await db.select({ id: people.id }).from(people).limit(1);
  return row !== undefined;
}

/** Somebody by the name as it is compared, passcode and all. */
export async function personByKey(db: Handle, key: string): Promise<PersonRow | undefined> {
  const [row] = await db.select().from(people).where(eq(people.key, key));
  return row;
}

/** Somebody by their id, passcode and all. */
export async function personById(db: Handle, id: string): Promise<PersonRow | undefined> {
  const [row] = await db.select().from(people).where(eq(people.id, id));
  return row;
}

/** Adds somebody. */
export async function insertPerson(db: Handle, row: PersonRow): Promise<void> {
  await db.insert(people).values(row);
}

/** Changes what somebody may do, or their passcode. */
export async function changePerson(
  db: Handle,
  id: string,
  change: { role?: Role; passcode?: string },
): Promise<void> {
  await db.update(people).set(change).where(eq(people.id, id));
}

/** Takes somebody out, with every device and link of theirs. */
export async function removePerson(db: Handle, id: string): Promise<void> {
  await db.delete(links).where(eq(links.person, id));
  await db.delete(devices).where(eq(devices.person, id));
  await db.delete(people).where(eq(people.id, id));
}

/** Who holds a token, and with which device; undefined when it has ended or nobody holds it. */
export async function deviceByToken(
  db: Handle,
  token: string,
  now: string,
): Promise<{ device: DeviceRow; person: Person } | undefined> {
  const [row] = await db
    .select({ device: devices, person: PUBLIC })
    .from(devices)
    .innerJoin(people, eq(people.id, devices.person))
    .where(and(eq(devices.token, token), gt(devices.endsAt, now)));
  return row;
}

/** A device that is signed in; undefined when it has ended. */
export async function deviceById(db: Handle, id: string, now: string): Promise<DeviceRow | undefined> {
  const [row] = await db
    .select()
    .from(devices)
    .where(and(eq(devices.id, id), gt(devices.endsAt, now)));
  return row;
}

/** Devices of somebody that are signed in, the one seen last first. */
export async function devicesOf(db: Handle, person: string, now: string): Promise<DeviceRow[]> {
  const rows = await db
    .select()
    .from(devices)
    .where(and(eq(devices.person, person), gt(devices.endsAt, now)));
  return rows.sort((a, b) => (a.seenAt < b.seenAt ? 1 : -1));
}

/** Signs a device in; what ended long ago is cleared away with it. */
export async function insertDevice(db: Handle, row: DeviceRow): Promise<void> {
  await db.delete(devices).where(lt(devices.endsAt, row.startedAt));
  await db.insert(devices).values(row);
}

/** Notes when a device was seen last. */
export async function deviceSeen(db: Handle, id: string, seenAt: string): Promise<void> {
  await db.update(devices).set({ seenAt }).where(eq(devices.id, id));
}

/** Signs one device of somebody out. Whether there was one. */
export async function endDevice(db: Handle, person: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(devices)
    .where(and(eq(devices.id, id), eq(devices.person, person)))
    .returning({ id: devices.id });
  return gone.length > 0;
}

/** Signs every device of somebody out, but for one. */
export async function endDevices(db: Handle, person: string, but = ''): Promise<void> {
  await db.delete(devices).where(and(eq(devices.person, person), ne(devices.id, but)));
}

/** Keeps a link; links whose time is over are cleared away with it. */
export async function insertLink(db: Handle, row: LinkRow, now: string): Promise<void> {
  await db.delete(links).where(lt(links.endsAt, now));
  await db.insert(links).values(row);
}

/** Uses a link up; undefined when it was used, is over, or never was. */
export async function spendLink(db: Handle, token: string, now: string): Promise<LinkRow | undefined> {
  const [row] = await db
    .update(links)
    .set({ usedAt: now })
    .where(and(eq(links.token, token), isNull(links.usedAt), gt(links.endsAt, now)))
    .returning();
  return row;
}
