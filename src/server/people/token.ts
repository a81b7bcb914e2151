import { createHash, randomBytes } from 'node:crypto';

/** Something to show that nobody guesses: 256 bits from the system. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** A token as it is kept: it cannot be shown again. */
export const keptToken = (token: string): string => createHash('sha256').update(token).digest('hex');
