import { type RecordAsked, recordChoices } from '../../core/record';
import { factsPage } from '../../data/facts';
import { readBeside } from '../context';
import { jobsCsv } from './record-csv';
import { taught } from './taught';

/** What is worked out of every job of the record: each reads it for itself, beside the answering of others. */
export const WHOLE_RECORD = {
  taught: ({ asked, now }: { asked: RecordAsked; now: Date }) => readBeside((db) => taught(db, asked, now)),
  recordChoices: (_: null) => readBeside(async (db) => recordChoices(await factsPage(db, {}))),
  jobsCsv: (asked: RecordAsked) => readBeside(async (db) => jobsCsv(await factsPage(db, asked))),
};
