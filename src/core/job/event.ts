import type { BenchEvent } from './kinds';
import type { JobOpened } from './kinds/job-opened';
import type { Undone } from './kinds/undone';

export type JobEvent = JobOpened | Undone | BenchEvent;
