import { PREPARATIONS } from '../preparation';
import type { Reported } from './kinds/kind';
import { fixesOf } from './opening';
import { stampWords } from './stamps';
import type { JobState } from './state';

/** Report of the remedy that this entry did: what went in, or that it did not mend the unit. */
export function fixLines(state: JobState, at: string): Reported[] {
  const under = 'Done' as const;
  const failed = state.failed.find((f) => f.at === at);
  if (failed) return [{ under, at, text: failed.name, result: 'did not mend it' }];
  const fix = fixesOf(state).find((f) => f.at === at);
  if (!fix) return [];
  return [
    { under, at, text: fix.name, result: `${fix.element}${stampWords(fix)}` },
    ...(fix.donor ? [{ under, text: 'Taken from another unit', result: `job ${fix.donor.tag}` }] : []),
    ...(fix.seen ? [{ under, text: 'Seen', result: fix.seen }] : []),
    ...(fix.old ? [{ under, text: 'The old one', result: stampWords(fix.old).slice(2) }] : []),
    ...(fix.across ? [{ under, text: 'Cables one across at a time', result: fix.across.join(', ') }] : []),
    ...(fix.prepared ?? []).map((p) => ({
      under,
      at: p.at,
      text: PREPARATIONS.find((l) => l.id === p.line)?.ask ?? p.line,
      result: p.note ?? 'done',
    })),
  ];
}
