import { closed, Line, Moment, Type } from '../../../core/schema/words';
import { listBackups } from '../../backups';
import { endpoint } from '../../endpoint';

export const BackupSchema = closed({ name: Line, bytes: Type.Integer(), at: Moment });

/** Backups that Mulch has made itself, the latest first. */
export const listTheBackups = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/backups',
  summary: 'Backups that Mulch has made itself, the latest first',
  body: null,
  megabytes: 0,
  answer: closed({ on: Type.Boolean(), backups: Type.Array(BackupSchema) }),
  status: 200,
  handle: () => listBackups(),
});
