import { ulid } from 'ulid';
import { checkPasscode, keepALead, keptName, nameKey, type Person, type Role } from '../../core/people';
import type { Database, Handle } from '../../data/database';
import {
  allPeople,
  changePerson,
  endDevices,
  insertPerson,
  isAnybodyThere,
  personById,
  personByKey,
  removePerson,
} from '../../data/people';
import type { From } from '../endpoint';
import { Problem } from '../problem';
import { fits, hashed } from './passcode';
import { beforeATry, rightTry } from './tries';

export interface NewPerson {
  name: string;
  role: Role;
  passcode: string;
}

const plain = ({ id, name, role }: Person): Person => ({ id, name, role });

async function rowOf({ name, role, passcode }: NewPerson, now: Date) {
  const kept = keptName(name, '/name');
  checkPasscode(passcode, kept, '/passcode');
  return {
    id: ulid(),
    key: nameKey(kept),
    name: kept,
    role,
    passcode: await hashed(passcode),
    addedAt: now.toISOString(),
  };
}

async function known(tx: Handle, id: string) {
  const person = await personById(tx, id);
  if (!person) throw new Problem(404, 'Nobody', 'there is nobody of that id on this Mulch');
  return person;
}

/**
 * Registers the first person, who is lead. From then on everybody signs in.
 *
 * @throws Problem 403 from another machine, 409 when somebody is registered already
 * @throws Refusal for a name or passcode that will not do
 */
export async function registerFirst(
  db: Database,
  who: Omit<NewPerson, 'role'>,
  from: From,
  now: Date,
): Promise<Person> {
  if (!from.own)
    throw new Problem(
      403,
      'On the machine itself',
      'the first person is registered on the machine that Mulch runs on, at 127.0.0.1',
    );
  const row = await rowOf({ ...who, role: 'lead' }, now);
  await db.write(async (tx) => {
    if (await isAnybodyThere(tx))
      throw new Problem(409, 'Not the first', 'somebody is registered here already: sign in');
    await insertPerson(tx, row);
  });
  return plain(row);
}

/**
 * Adds somebody.
 *
 * @throws Problem 409 when the name is taken
 * @throws Refusal for a name or passcode that will not do
 */
export async function addPerson(db: Database, who: NewPerson, now: Date): Promise<Person> {
  const row = await rowOf(who, now);
  await db.write(async (tx) => {
    if (await personByKey(tx, row.key))
      throw new Problem(409, 'Name in use', `there is a ${row.name} here already`, '/name');
    await insertPerson(tx, row);
  });
  return plain(row);
}

/** Changes what somebody may do. @throws Refusal when no lead would be left */
export const changeRole = (db: Database, id: string, role: Role): Promise<Person> =>
  db.write(async (tx) => {
    const person = await known(tx, id);
    keepALead(await allPeople(tx), id, role);
    await changePerson(tx, id, { role });
    return plain({ ...person, role });
  });

/** Takes somebody out; their devices end at once. @throws Refusal when no lead would be left */
export const takeOut = (db: Database, id: string): Promise<void> =>
  db.write(async (tx) => {
    await known(tx, id);
    keepALead(await allPeople(tx), id, null);
    await removePerson(tx, id);
  });

/** Gives somebody another passcode; all devices of theirs end, but the one at which it is done. */
export async function givePasscode(db: Database, id: string, passcode: string, but = ''): Promise<Person> {
  const person = await known(db.read, id);
  checkPasscode(passcode, person.name, '/passcode');
  const kept = await hashed(passcode);
  await db.write(async (tx) => {
    await known(tx, id);
    await changePerson(tx, id, { passcode: kept });
    await endDevices(tx, id, but);
  });
  return plain(person);
}

/** Whether a passcode is somebody's, tried as at the door. @throws Problem 401, or 429 after too many */
async function tried(db: Database, key: string, passcode: string, address: string, path: string) {
  await beforeATry({ address, person: key });
  const row = await personByKey(db.read, key);
  if (!(await fits(passcode, row?.passcode)) || !row)
    throw new Problem(401, 'Not signed in', 'name and passcode do not belong together', path);
  await rightTry({ address, person: key });
  return plain(row);
}

/**
 * Who a name and a passcode are. Unknown name and wrong passcode are answered alike, and take as long.
 *
 * @throws Problem 401 when they do not belong together, 429 after too many wrong tries
 */
export const signIn = (
  db: Database,
  { name, passcode }: { name: string; passcode: string },
  { address }: From,
): Promise<Person> => tried(db, nameKey(name), passcode, address, '/passcode');

/**
 * Changes one's own passcode; every other device of one's own ends.
 *
 * @throws Problem 401 when the present one is not right
 */
export async function changeOwnPasscode(
  db: Database,
  { person, device, from }: { person: Person; device: string; from: From },
  { now, next }: { now: string; next: string },
): Promise<void> {
  checkPasscode(next, person.name, '/next');
  await tried(db, nameKey(person.name), now, from.address, '/now');
  await givePasscode(db, person.id, next, device);
}
