import { exercisesOf } from '../../../data/exercises';
import { CSV, file } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { progressCsv } from '../../practice/progress';
import { practiser } from '../../practice/start';

/** Exercises of who asks as a table. */
export const readProgress = endpoint({
  method: 'get',
  who: 'bench',
  path: '/api/practice/progress.csv',
  summary: 'Exercises of who asks that were ended, as a table',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  handle: async ({ person }) =>
    file(progressCsv(await exercisesOf((await database()).read, practiser(person))), CSV, 'practice.csv'),
});
