import type { Database, Handle } from '../data/database';
import { putSetting, settingOf } from '../data/settings';
import { database } from './context';
import { demandAllowed } from './instruments-allowed';
import { addressOf } from './line';
import { Problem } from './problem';

/** Where an instrument is, as set at the bench, else as the environment says. */
export interface AddressSetting {
  /** null when there is none */
  of(db: Handle): Promise<string | null>;
  /** null goes back to what the environment says; a Problem when it is no address, or none of the machine's */
  set(db: Database, address: string | null): Promise<void>;
  /** @throws Problem 404 when none is set */
  there(): Promise<string>;
}

/**
 * An address that is kept as a setting.
 *
 * @param what the instrument: "bench meter"
 * @param key under which it is kept
 * @param env variable that holds it where none is kept
 * @param such an example of an address
 */
export function addressSetting(what: string, key: string, env: string, such: string): AddressSetting {
  const of = async (db: Handle) => {
    const set = await settingOf(db, key);
    return typeof set === 'string' ? set : process.env[env] || null;
  };
  return {
    of,
    async set(db, address) {
      if (address !== null) demandAllowed(addressOf(address));
      await db.write((tx) => putSetting(tx, key, address));
    },
    async there() {
      const address = await of((await database()).read);
      const name = what.split(' ').at(-1);
      if (!address)
        throw new Problem(404, `No ${name}`, `no ${what} is set. Type its address first, such as ${such}`);
      return address;
    },
  };
}
