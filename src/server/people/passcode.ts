import { type Algorithm, hash, verify } from '@node-rs/argon2';

/** Cost of one try. Source: OWASP Password Storage Cheat Sheet, argon2id, 19 MiB and two passes (from memory). */
const COST = { algorithm: 2 satisfies Algorithm, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** What is held against the passcode of somebody who is not there: it takes as long, and fits nothing. */
let nobody: Promise<string> | undefined;

/** A passcode as it is kept. */
export const hashed = (passcode: string): Promise<string> => hash(passcode.normalize('NFKC'), COST);

/** Whether a passcode is the one kept; for nobody it takes the same time and is wrong. */
export async function fits(passcode: string, kept: string | undefined): Promise<boolean> {
  nobody ??= hashed('nobody has this passcode, and it is held against none that fits');
  const right = await verify(kept ?? (await nobody), passcode.normalize('NFKC'));
  return right && kept !== undefined;
}
