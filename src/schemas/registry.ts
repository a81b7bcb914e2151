import { OpenJobSchema, SaveUnitSchema } from './commands';
import {
  LedgerAnswerSchema,
  LedgerRequestSchema,
  ProveAnswerSchema,
  ProveRequestSchema,
  TightenAnswerSchema,
  TightenRequestSchema,
  TraceAnswerSchema,
  TraceRequestSchema,
} from './compute';
import { JobEventSchema } from './job-event';
import { JobFileSchema, PostEventsSchema } from './job-file';
import { ProblemSchema } from './problem';
import { UnitMapSchema } from './unit-map';

/** Every document that crosses a border and is checked there. Validators are generated from this list. */
export const CHECKED = {
  UnitMap: UnitMapSchema,
  JobEvent: JobEventSchema,
  JobFile: JobFileSchema,
  PostEvents: PostEventsSchema,
  OpenJob: OpenJobSchema,
  SaveUnit: SaveUnitSchema,
  TraceRequest: TraceRequestSchema,
  LedgerRequest: LedgerRequestSchema,
  TightenRequest: TightenRequestSchema,
  ProveRequest: ProveRequestSchema,
} as const;

/** Documents that only leave. */
export const ANSWERS = {
  TraceAnswer: TraceAnswerSchema,
  LedgerAnswer: LedgerAnswerSchema,
  TightenAnswer: TightenAnswerSchema,
  ProveAnswer: ProveAnswerSchema,
  Problem: ProblemSchema,
} as const;
