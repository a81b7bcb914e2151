/** Something to do at one place: hands on it, then perhaps a wait that runs by itself. */
export interface DayTask {
  id: string;
  /** minutes that take the hands, in one piece */
  handsOn: number;
  /** minutes that follow by themselves: cure, soak, charge, boot */
  handsOff: number;
  /** tasks of the same job that come first, their waits with them */
  after?: string[];
  /** deviation of the logarithm of the minutes on it */
  sigma?: number;
}

/** A job as the day sees it: whole, or left for another day. */
export interface DayJob {
  id: string;
  place: string;
  tasks: DayTask[];
  /** minutes from midnight between which all of it lies */
  from?: number;
  until?: number;
  mustToday?: boolean;
  /** what leaving it costs; 1 unless given */
  worth?: number;
  /** whether it may be left alone between its tasks and in its last wait; not unless said so */
  mayLeave?: boolean;
}

export interface DayRequest {
  jobs: DayJob[];
  /** both ways, unless the other way is given too */
  travel: { from: string; to: string; minutes: number }[];
  start: { place: string; at: number };
  end: { place?: string; at: number };
  /** what was done already, with the minute at which its wait is over */
  done?: { job: string; task: string; end: number }[];
  /** not to be had for work or travel; where a place is given, to be there */
  busy?: { from: number; until: number; place?: string }[];
  /** jobs that are begun in this order, where they are done */
  order?: string[];
  /** which quantile of the minutes on a task is given; the middle one unless said so */
  quantile?: number;
  seed?: number;
  samples?: number;
  /** stops the looking, whatever was found by then */
  timeLimitMs?: number;
}

/** What counts, the first first. */
export interface DayValue {
  mustLeft: number;
  worthLeft: number;
  finish: number;
  travel: number;
}

export interface DayAnswer {
  /** one for each job and stay at a place */
  visits: { job: string; place: string; arrive: number; leave: number }[];
  tasks: { job: string; task: string; start: number; end: number }[];
  left: string[];
  worthLeft: number;
  /** arrival at the end, else leaving the last place; minutes from midnight */
  finish: number;
  travelMinutes: number;
  /** share of samples in which this order keeps every time */
  holds?: number;
  optimal: boolean;
  lowerBound: { worthLeft: number; finish: number };
}
