import type { JobState } from '../../core/job';
import { deriveChecks } from '../../core/unit';
import { csvOf } from '../csv';

const COLUMNS = ['at', 'when', 'check', 'reading', 'unit', 'outcome', 'wanted', 'tolerance', 'source', 'by'];

/** Every check of a job with its reading, before and after, as a table. */
export function readingsCsv(state: JobState): string {
  const checks = new Map(deriveChecks(state.map).map((c) => [c.id, c]));
  const row = (
    when: string,
    r: {
      at: string;
      by: string;
      check?: string;
      reading?: number;
      unit?: string;
      outcome?: string;
      source?: string;
    },
  ) => {
    const check = checks.get(r.check ?? '');
    const expect = check?.tap?.expect;
    return {
      at: r.at,
      when,
      check: check ? [check.title, check.about].filter(Boolean).join(', ') : (r.check ?? ''),
      reading: r.reading ?? null,
      unit: r.unit ?? '',
      outcome: r.outcome ?? '',
      wanted: r.reading === undefined ? null : (expect?.nominal ?? null),
      tolerance: r.reading === undefined ? null : (expect?.tolerance ?? null),
      source: r.source ?? '',
      by: r.by,
    };
  };
  return csvOf(
    [
      ...state.trace.filter((t) => t.check).map((t) => row('before', t)),
      ...state.proofs.map((p) => row('after', p)),
    ],
    COLUMNS,
  );
}
