// npm run passcode -- NAME: another passcode for somebody who lost theirs, on the machine itself.
import { randomInt } from 'node:crypto';
import { nameKey } from '../src/core/people';
import { openDatabase } from '../src/data/database';
import { allPeople, personByKey } from '../src/data/people';
import { givePasscode } from '../src/server/people/people';
import { told } from './told';

/** Letters and digits that are not taken for one another. */
const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';
const group = () => Array.from({ length: 4 }, () => SIGNS[randomInt(SIGNS.length)]).join('');

const name = process.argv.slice(2).join(' ');
await told(async () => {
  const db = await openDatabase({
    folder: process.env.MULCH_DATA ?? './data',
    url: process.env.MULCH_DATABASE_URL || undefined,
    token: process.env.MULCH_DATABASE_TOKEN || undefined,
    migrations: 'drizzle',
  });
  try {
    const people = (await allPeople(db.read)).map((p) => p.name);
    if (people.length === 0) return 'Nobody is registered here: nothing asks for a passcode.';
    const person = await personByKey(db.read, nameKey(name));
    if (!person) return `Say whose: npm run passcode -- NAME. Registered are ${people.join(', ')}.`;
    const passcode = [group(), group(), group()].join('-');
    await givePasscode(db, person.id, passcode);
    console.log(`${person.name} comes in with ${passcode} now. Every device of theirs has to sign in again.`);
    return null;
  } finally {
    db.close();
  }
});
