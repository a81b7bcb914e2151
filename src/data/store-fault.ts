/** What can be wrong with the place where everything is kept; none of it is the fault of whoever asked. */
export type FaultKind =
  | 'full'
  | 'read-only'
  | 'damaged'
  | 'gone'
  | 'newer'
  | 'short'
  | 'busy'
  | 'unreachable';

/** The data cannot be read or kept; `message` says so in words that help. */
export class StoreFault extends Error {
  constructor(
    readonly kind: FaultKind,
    words: string,
    options?: ErrorOptions,
  ) {
    super(words, options);
    this.name = 'StoreFault';
  }
}

const WORDS: Record<Exclude<FaultKind, 'newer' | 'short'>, string> = {
  full: 'the disk with the data is full. Nothing of this was kept. Make room on it',
  'read-only':
    'the folder of the data, or the database in it, cannot be written to. Nothing of this was kept. Give Mulch the right to write there',
  damaged:
    'the database is damaged. Nothing is written to it any more. Restore a backup: npm run restore -- FILE',
  gone: 'the folder of the data is not there any more. Nothing of this was kept. Put it back and start Mulch again',
  busy: 'another program holds the database for too long. Nothing of this was kept. Send it again',
  unreachable: 'the database cannot be reached. Nothing of this was kept',
};

type Code = [begins: string, kind: keyof typeof WORDS];

/** What SQLite calls it; the first that a code begins with counts. */
const OF_SQLITE: Code[] = [
  ['SQLITE_FULL', 'full'],
  ['SQLITE_READONLY_DBMOVED', 'gone'],
  ['SQLITE_READONLY', 'read-only'],
  ['SQLITE_CANTOPEN', 'read-only'],
  ['SQLITE_PERM', 'read-only'],
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'damaged'],
  ['SQLITE_IOERR', 'unreachable'],
  ['SQLITE_BUSY', 'busy'],
  ['SQLITE_LOCKED', 'busy'],
];

/** What the system calls it, where the folder of the data is worked on. */
const OF_FILES: Code[] = [
  ['ENOSPC', 'full'],
  ['EDQUOT', 'full'],
  ['EACCES', 'read-only'],
  ['EPERM', 'read-only'],
  ['EROFS', 'read-only'],
  ['EIO', 'unreachable'],
  ['ENOENT', 'gone'],
  ['ENOTDIR', 'gone'],
  ['EEXIST', 'gone'],
];

/** A fault of a kind, in its words. */
export const storeFault = (kind: keyof typeof WORDS, cause?: unknown): StoreFault =>
  new StoreFault(kind, WORDS[kind], { cause });

function named(error: unknown, codes: Code[]): StoreFault | null {
  for (let e = error; e instanceof Error; e = e.cause) {
    if (e instanceof StoreFault) return e;
    const code = String((e as { code?: unknown }).code ?? '');
    const known = codes.find(([begins]) => code.startsWith(begins));
    if (known) return storeFault(known[1], error);
  }
  return null;
}

/**
 * The fault of the store behind an error, however deep it is wrapped.
 *
 * @param error as caught
 * @returns the fault, or null when the error is something else
 */
export const storeFaultOf = (error: unknown): StoreFault | null => named(error, OF_SQLITE);

/** Does some work in the folder of the data; what fails there is said as a fault of the store. */
export async function keeping<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw named(error, [...OF_SQLITE, ...OF_FILES]) ?? error;
  }
}
