import { backUp } from '../../backups';
import { endpoint } from '../../endpoint';
import { BackupSchema } from './list-backups';

/** Make a backup now. */
export const makeABackup = endpoint({
  method: 'post',
  who: 'lead',
  path: '/api/backups',
  summary: 'Make a backup now',
  body: null,
  megabytes: 0,
  answer: BackupSchema,
  status: 201,
  handle: () => backUp(new Date()),
});
