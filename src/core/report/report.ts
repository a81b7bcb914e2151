import { apart, effective, type JobEvent, type JobState, type Reported, SECTIONS } from '../job';

export type ReportLine = Omit<Reported, 'under'>;

export interface ReportSection {
  title: string;
  lines: ReportLine[];
}

/**
 * The report of a job. Every line falls out of the record, written by the kind of event that made it;
 * nothing is typed twice and nothing is there that was not recorded. A section with nothing to say is
 * left out.
 *
 * @param state a job
 * @param events its events
 * @returns sections in the order of the work, their lines in the order they were recorded
 * @example reportOf(state, events)[0].title // 'Taken in'
 */
export function reportOf(state: JobState, events: JobEvent[]): ReportSection[] {
  const told = effective(events).flatMap((e) => (e.type === 'job.opened' ? [] : [apart(e)]));
  const people = [...new Set(events.map((e) => e.by))];
  const lines = told.flatMap(({ kind, payload, meta }, i) => {
    if (kind.reports === 'nothing') return [];
    const later = told.slice(i + 1).flatMap((t) => (t.kind === kind ? [t.payload] : []));
    return kind.reports(payload, state, meta, { later, people });
  });
  return SECTIONS.map((title) => ({
    title,
    lines: lines.filter((l) => l.under === title).map(({ under: _, ...line }) => line),
  })).filter((s) => s.lines.length > 0);
}
