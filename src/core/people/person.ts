import { demand } from '../refusal';
import type { Role } from './role';

/** Somebody who may come in. */
export interface Person {
  id: string;
  name: string;
  role: Role;
}

/** Characters of a passcode. The lower bound: NIST SP 800-63B, 5.1.1.1 (from memory). */
export const PASSCODE = { least: 8, most: 200 };
const NAME_MOST = 60;

/**
 * A name as it is compared: two that look alike are one.
 *
 * @param name as typed
 * @returns the name without outer blanks, composed, in small letters, one blank between words
 * @example nameKey('  Ines   Voss ') // 'ines voss'
 */
export const nameKey = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/gu, ' ').toLocaleLowerCase('en');

/**
 * A name as it is kept.
 *
 * @param name as typed
 * @param path of the field, for a refusal
 * @returns the name, one blank between words
 * @throws Refusal when nothing can be read in it, or it is too long
 * @example keptName(' Ines  Voss', '/name') // 'Ines Voss'
 */
export function keptName(name: string, path: string): string {
  const kept = name.normalize('NFC').trim().replace(/\s+/gu, ' ');
  demand(/[\p{L}\p{N}]/u.test(kept), 'say a name', path);
  demand([...kept].length <= NAME_MOST, `a name has at most ${NAME_MOST} characters`, path);
  return kept;
}

/**
 * Refuses a passcode that is no use.
 *
 * @param passcode as typed; blanks count
 * @param name of the person it is for
 * @param path of the field, for a refusal
 * @throws Refusal when it is too short, too long, one character over and over, or the name itself
 * @example checkPasscode('gull on the rail', 'Ines', '/passcode') // undefined
 */
export function checkPasscode(passcode: string, name: string, path: string): void {
  const signs = [...passcode];
  demand(signs.length >= PASSCODE.least, `a passcode has at least ${PASSCODE.least} characters`, path);
  demand(signs.length <= PASSCODE.most, `a passcode has at most ${PASSCODE.most} characters`, path);
  demand(new Set(signs).size > 1, 'a passcode is more than one character over and over', path);
  demand(nameKey(passcode) !== nameKey(name), 'a passcode is not the name', path);
}

/**
 * Refuses a change after which nobody could keep the others.
 *
 * @param people all who may come in
 * @param id whose role changes
 * @param role the role afterwards; null when the person goes
 * @throws Refusal when no lead would be left
 * @example keepALead([{ id: 'a', name: 'Ines', role: 'lead' }], 'a', null) // throws
 */
export function keepALead(people: Pick<Person, 'id' | 'role'>[], id: string, role: Role | null): void {
  const left = people.some((p) => (p.id === id ? role === 'lead' : p.role === 'lead'));
  demand(left, 'the last lead stays: make somebody else lead first', '/role');
}
