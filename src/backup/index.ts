export { type Made, makeBackup } from './make';
export { type Backup, backupsIn, isDue, keepSoMany } from './nightly';
export { type Restored, restoreBackup } from './restore';
export { type Verified, verifyBackup } from './verify';
