/** What is asked of the record: every part that is given has to hold. */
export interface RecordAsked {
  /** words, as typed */
  q?: string;
  model?: string;
  /** a stop the job stands at */
  stop?: string;
  /** an element with a remedy, by its mark */
  element?: string;
  /** a kind of remedy that was done */
  remedy?: string;
  /** what the unit itself said */
  code?: string;
  person?: string;
  owner?: string;
  place?: string;
  result?: string;
  /** opened on this day or later, as 2026-11-27 */
  from?: string;
  /** opened on this day or earlier */
  to?: string;
}

/** The filters, by their names. */
export const RECORD_FILTERS = [
  'q',
  'model',
  'stop',
  'element',
  'remedy',
  'code',
  'person',
  'owner',
  'place',
  'result',
  'from',
  'to',
] as const satisfies readonly (keyof RecordAsked)[];

/** What the filters may be set to, each with how many jobs have it, the most frequent first. */
export type RecordChoices = Record<
  'model' | 'stop' | 'element' | 'remedy' | 'person' | 'owner' | 'place' | 'result',
  { value: string; count: number }[]
>;

/** One job, as a row of the record. */
export interface RecordRow {
  job: string;
  tag: string;
  unit: string;
  model: string;
  place: string;
  owner?: string;
  mark?: string;
  openedAt: string;
  handedOverAt?: string;
  result?: string;
  stop: string;
  symptom: string;
  /** what was done, in words */
  done: string[];
}
