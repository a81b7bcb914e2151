import { demand } from '../refusal';
import { readDump } from './dump';

export interface SettingsDiffRequest {
  before: string;
  after: string;
  /** keys that have to be other afterwards, such as a calibration */
  mustDiffer?: string[];
  /** how far numbers may be apart and count as the same */
  tolerance?: number;
}

export const KEY_VERDICTS = [
  'same',
  'within tolerance',
  'changed',
  'added',
  'removed',
  'differs as it must',
  'must differ',
] as const;
export type KeyVerdict = (typeof KEY_VERDICTS)[number];

export interface SettingsDiffAnswer {
  changed: { key: string; before: string; after: string }[];
  added: { key: string; value: string }[];
  removed: { key: string; value: string }[];
  verdict: Record<string, KeyVerdict>;
}

const numeric = (s: string) => (/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(s) ? Number(s) : null);

/**
 * Two dumps of settings, key by key.
 *
 * @param r dumps as text, keys that must differ, tolerance for numbers
 * @returns what changed, came and went, and a verdict on every key
 * @throws Refusal when the tolerance is negative or a dump holds nothing
 * @example settingsDiff({ before: 'a=1', after: 'a=2' }).changed[0].key // 'a'
 */
export function settingsDiff(r: SettingsDiffRequest): SettingsDiffAnswer {
  const tolerance = r.tolerance ?? 0;
  demand(tolerance >= 0, 'the tolerance cannot be negative', '/tolerance');
  const before = readDump(r.before);
  const after = readDump(r.after);
  demand(before.size > 0, 'the dump from before holds no setting', '/before');
  demand(after.size > 0, 'the dump from after holds no setting', '/after');
  const must = new Set(r.mustDiffer ?? []);
  const answer: SettingsDiffAnswer = { changed: [], added: [], removed: [], verdict: {} };
  for (const [key, old] of before) {
    const now = after.get(key);
    if (now === undefined) {
      answer.removed.push({ key, value: old });
      answer.verdict[key] = 'removed';
      continue;
    }
    const [a, b] = [numeric(old), numeric(now)];
    const near = a !== null && b !== null && Math.abs(a - b) <= tolerance * (1 + 1e-12);
    const same = old === now || (a !== null && a === b);
    if (must.has(key)) {
      answer.verdict[key] = same || near ? 'must differ' : 'differs as it must';
      if (!same && !near) answer.changed.push({ key, before: old, after: now });
    } else if (same) answer.verdict[key] = 'same';
    else if (near) answer.verdict[key] = 'within tolerance';
    else {
      answer.verdict[key] = 'changed';
      answer.changed.push({ key, before: old, after: now });
    }
  }
  for (const [key, value] of after)
    if (!before.has(key)) {
      answer.added.push({ key, value });
      answer.verdict[key] = 'added';
    }
  return answer;
}
