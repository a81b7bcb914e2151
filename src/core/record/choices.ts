import type { RecordChoices, RecordRow } from './asked';
import type { JobFacts } from './facts';

/** What each filter reads of a job; a job may have several. */
const READ: { [K in keyof RecordChoices]: (f: JobFacts) => string[] } = {
  model: (f) => [f.model],
  stop: (f) => (f.handedOverAt ? [] : [f.stop]),
  element: (f) => [...new Set(f.remedies.map((r) => r.element))],
  remedy: (f) => [...new Set(f.remedies.map((r) => r.remedyKind))],
  person: (f) => f.people,
  owner: (f) => (f.owner ? [f.owner] : []),
  place: (f) => [f.place],
  result: (f) => (f.result ? [f.result] : []),
};

/**
 * What the filters of the record may be set to.
 *
 * @param all facts of the jobs that are asked about
 * @returns for each filter its values with how many jobs have it, the most frequent first
 * @example recordChoices(all).place[0] // { value: 'north arcade', count: 12 }
 */
export function recordChoices(all: JobFacts[]): RecordChoices {
  const of = (read: (f: JobFacts) => string[]) => {
    const counts = new Map<string, number>();
    for (const f of all)
      for (const value of read(f)) if (value) counts.set(value, (counts.get(value) ?? 0) + 1);
    return [...counts]
      .map(([value, count]) => ({ value, count }))
      .sort((a, b) => b.count - a.count || a.value.localeCompare(b.value));
  };
  return Object.fromEntries(Object.entries(READ).map(([key, read]) => [key, of(read)])) as RecordChoices;
}

const ENDS = { mended: '', 'mended with others': ', with others', 'in vain': ', in vain' } as const;

/**
 * A job as a row of the record.
 *
 * @param facts of it
 * @returns what the list shows
 * @example rowOf(facts).done // ['Replace W7 left ribbon']
 */
export const rowOf = (facts: JobFacts): RecordRow => ({
  job: facts.job,
  tag: facts.tag,
  unit: facts.unit,
  model: facts.model,
  place: facts.place,
  ...(facts.owner ? { owner: facts.owner } : {}),
  ...(facts.mark ? { mark: facts.mark } : {}),
  openedAt: facts.openedAt,
  ...(facts.handedOverAt ? { handedOverAt: facts.handedOverAt } : {}),
  ...(facts.result ? { result: facts.result } : {}),
  stop: facts.stop,
  symptom: facts.symptom,
  done: [
    ...facts.remedies.map((r) => `${r.words}${ENDS[r.end]}`),
    ...(facts.referred ? [`Referred to ${facts.referred.to}`] : []),
  ],
});
