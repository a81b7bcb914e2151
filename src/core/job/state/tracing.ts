import type { Source } from '../../hazard';
import type { Expect } from '../../trace';

export interface TraceRecord {
  id: string;
  at: string;
  by: string;
  check?: string;
  outcome?: string;
  reading?: number;
  unit?: string;
  expect?: Expect;
  /** single readings behind `reading`, which is their mean */
  takes?: number[];
  source?: Source;
  note?: string;
  /** a remedy that was tried while the symptom stayed */
  tried?: { element: string; remedy: string };
}

export interface Tracing {
  trace: TraceRecord[];
  /** answers to what is asked before anything is measured */
  looked: { look: string; found: boolean; at: string; note?: string }[];
}

export const startTracing = (): Tracing => ({ trace: [], looked: [] });
