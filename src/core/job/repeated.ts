import { formatReading, type MapCheck } from '../unit';
import type { Reported } from './kinds/kind';
import { isDone } from './opening';
import { beforeAfter, functionsTried } from './proofs';
import type { JobState } from './state';

const reading = (check: MapCheck, v: { reading?: number; unit?: string; outcome?: string }) => {
  if (v.reading !== undefined) return formatReading(v.reading, v.unit ?? '');
  if (v.outcome === 'not tried') return 'not tried';
  return v.outcome === 'ok' ? check.ok : check.bad;
};

const UNDER = { under: 'Proven, before and after' } as const;

/**
 * Report of a check that failed before and was not made again after the remedy.
 *
 * @param state a job
 * @param record id of the check's entry; null = the symptom as it was taken in
 * @returns its line, or none
 * @example notRepeated(state, null)[0].result // 'before fails; after not repeated'
 */
export function notRepeated(state: JobState, record: string | null): Reported[] {
  if (!isDone(state)) return [];
  const pair = beforeAfter(state).find((p) => !p.after && ('id' in p.before ? p.before.id : null) === record);
  return pair
    ? [
        {
          ...UNDER,
          text: pair.check.title,
          result: `before ${reading(pair.check, pair.before)}; after not repeated`,
        },
      ]
    : [];
}

/**
 * Report of a proof: what it was before beside what it is now, and which function works.
 *
 * @param state a job
 * @param proof id of its entry
 * @returns its lines, none where a later proof took its place
 * @example repeated(state, id)[0].result // 'before 0.2 V; after 3.31 V, lid off'
 */
export function repeated(state: JobState, proof: string): Reported[] {
  if (!isDone(state)) return [];
  const pair = beforeAfter(state).find((p) => p.after?.id === proof);
  const tried = functionsTried(state).find((f) => f.last?.id === proof);
  const open = pair?.after?.open.length ? `, ${pair.after.open.join(', ')} off` : '';
  return [
    ...(pair?.after
      ? [
          {
            ...UNDER,
            at: pair.after.at,
            text: pair.check.title,
            result: `before ${reading(pair.check, pair.before)}; after ${reading(pair.check, pair.after)}${open}`,
          },
        ]
      : []),
    ...(tried?.last
      ? [
          {
            under: 'Everything it should do' as const,
            at: tried.last.at,
            text: tried.name,
            result: tried.last.outcome === 'ok' ? 'works' : 'fails',
          },
        ]
      : []),
  ];
}
