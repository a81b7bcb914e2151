import { BatteryFitRequestSchema } from '../core/fit/schema';
import { UnitMapSchema } from '../core/unit/schema';
import { CatalogueAnswerSchema, ReadConsoleSchema, WriteConsoleSchema } from './bench';
import {
  OpenJobSchema,
  ReadMeterSchema,
  ResetLessonsSchema,
  SaveUnitSchema,
  SetMeterSchema,
} from './commands';
import {
  LedgerAnswerSchema,
  LedgerRequestSchema,
  OrderAnswerSchema,
  OrderRequestSchema,
  ProveAnswerSchema,
  ProveRequestSchema,
  ScheduleAnswerSchema,
  ScheduleRequestSchema,
  TightenAnswerSchema,
  TightenRequestSchema,
  TraceAnswerSchema,
  TraceRequestSchema,
} from './compute';
import { BatteryFitAnswerSchema, ChemistryTableSchema } from './fit';
import {
  FlatCableAnswerSchema,
  FlatCableRequestSchema,
  JumpersAnswerSchema,
  JumpersRequestSchema,
  MixupsAnswerSchema,
  MixupsRequestSchema,
  SettingsDiffAnswerSchema,
  SettingsDiffRequestSchema,
} from './harness';
import { JobEventSchema } from './job-event';
import { JobFileSchema, PostEventsSchema } from './job-file';
import { ProblemSchema } from './problem';

/** Every document that crosses a border and is checked there. Validators are generated from this list. */
export const CHECKED = {
  UnitMap: UnitMapSchema,
  JobEvent: JobEventSchema,
  JobFile: JobFileSchema,
  PostEvents: PostEventsSchema,
  OpenJob: OpenJobSchema,
  SaveUnit: SaveUnitSchema,
  ResetLessons: ResetLessonsSchema,
  SetMeter: SetMeterSchema,
  ReadMeter: ReadMeterSchema,
  ReadConsole: ReadConsoleSchema,
  WriteConsole: WriteConsoleSchema,
  CatalogueAnswer: CatalogueAnswerSchema,
  TraceRequest: TraceRequestSchema,
  LedgerRequest: LedgerRequestSchema,
  TightenRequest: TightenRequestSchema,
  ProveRequest: ProveRequestSchema,
  OrderRequest: OrderRequestSchema,
  ScheduleRequest: ScheduleRequestSchema,
  MixupsRequest: MixupsRequestSchema,
  BatteryFitRequest: BatteryFitRequestSchema,
  ChemistryTable: ChemistryTableSchema,
  FlatCableRequest: FlatCableRequestSchema,
  JumpersRequest: JumpersRequestSchema,
  SettingsDiffRequest: SettingsDiffRequestSchema,
} as const;

/** Documents that only leave. */
export const ANSWERS = {
  TraceAnswer: TraceAnswerSchema,
  LedgerAnswer: LedgerAnswerSchema,
  TightenAnswer: TightenAnswerSchema,
  ProveAnswer: ProveAnswerSchema,
  OrderAnswer: OrderAnswerSchema,
  ScheduleAnswer: ScheduleAnswerSchema,
  MixupsAnswer: MixupsAnswerSchema,
  BatteryFitAnswer: BatteryFitAnswerSchema,
  FlatCableAnswer: FlatCableAnswerSchema,
  JumpersAnswer: JumpersAnswerSchema,
  SettingsDiffAnswer: SettingsDiffAnswerSchema,
  Problem: ProblemSchema,
} as const;
