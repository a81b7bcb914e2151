import type { Exercise } from '../../core/practice';
import { csvOf } from '../csv';

const COLUMNS = [
  'ended',
  'kind',
  'unit',
  'seed',
  'skills',
  'score_percent',
  'minutes',
  'best_minutes',
  'halving_percent',
  'from_the_source_percent',
  'counted',
  'remember',
];
const wayOf = (e: Exercise, name: string) => {
  const way = e.ways?.find((w) => w.name === name);
  return way ? Math.round(way.score * 1000) / 10 : '';
};

/** Exercises that were ended, as a table: one line each, the oldest first. */
export function progressCsv(exercises: Exercise[]): string {
  const rows = exercises
    .filter((e) => e.endedAt)
    .map((e) => ({
      ended: e.endedAt ?? '',
      kind: e.kind,
      unit: e.unit,
      seed: e.seed,
      skills: e.skills.join('; '),
      score_percent: e.score === undefined ? '' : Math.round(e.score * 1000) / 10,
      minutes: e.minutes === undefined ? '' : Math.round(e.minutes * 10) / 10,
      best_minutes: e.optimum === undefined ? '' : Math.round(e.optimum * 10) / 10,
      halving_percent: wayOf(e, 'halving'),
      from_the_source_percent: wayOf(e, 'from the source on'),
      counted: e.again ? 'no' : 'yes',
      remember: e.remember ?? '',
    }));
  return csvOf(rows, COLUMNS);
}
