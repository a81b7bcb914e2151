import { plainMoney } from '../../core/money';
import type { JobFacts, Share, Spread, Taught } from '../../core/record';
import { csvOf } from '../csv';

const JOBS = [
  'tag',
  'unit',
  'model',
  'mark',
  'owner',
  'place',
  'opened',
  'handed_over',
  'result',
  'failed',
  'symptom',
  'done',
  'parts',
  'minutes_at_work',
];

/** Jobs as a table, one line each. */
export const jobsCsv = (all: JobFacts[]): string =>
  csvOf(
    all.map((f) => ({
      tag: f.tag,
      unit: f.unit,
      model: f.model,
      mark: f.mark ?? '',
      owner: f.owner ?? '',
      place: f.place,
      opened: f.openedAt,
      handed_over: f.handedOverAt ?? '',
      result: f.result ?? '',
      failed: f.failed.map((x) => x.name).join('; '),
      symptom: f.symptom,
      done: f.remedies.map((r) => `${r.words} (${r.end})`).join('; '),
      parts: f.parts.map((p) => p.name).join('; '),
      minutes_at_work: f.minutes ? Math.round(f.minutes.stops.reduce((sum, s) => sum + s.minutes, 0)) : '',
    })),
    JOBS,
  );

const FIGURES = ['figure', 'what', 'value', 'unit', 'low', 'high', 'count', 'of'];
type Row = Record<string, string | number | null>;
const digits = (v: number | null): number | null => (v === null ? null : Math.round(v * 10_000) / 10_000);
const share = (figure: string, what: string, s: Share | null): Row[] =>
  s
    ? [
        {
          figure,
          what,
          value: digits(s.share),
          unit: 'share',
          low: digits(s.low),
          high: digits(s.high),
          count: s.count,
          of: s.of,
        },
      ]
    : [];
const spread = (figure: string, what: string, s: Spread): Row[] =>
  (['median', 'p70', 'p90'] as const).map((p) => ({
    figure: `${figure}, ${p}`,
    what,
    value: digits(s[p]),
    unit: 'min',
    count: s.count,
  }));
const count = (figure: string, what: string, n: number): Row => ({ figure, what, value: n, unit: 'jobs' });

/** What the record teaches as a table, one figure a line. */
export const taughtCsv = (t: Taught): string =>
  csvOf(
    [
      count('jobs', '', t.jobs),
      count('repairs', '', t.repairs),
      ...t.outcomes.flatMap((o) => share('result', o.result, o.share)),
      ...share('mended at the first visit, no comeback', '', t.firstTime),
      ...share(`came back within ${t.comebackDays} days`, '', t.cameBack),
      ...t.failed.flatMap((f) => share('failed', f.words, f.share)),
      ...t.remedies.flatMap((r): Row[] => [
        count('remedy mended', r.words, r.mended),
        count('remedy mended with others', r.words, r.withOthers),
        count('remedy in vain', r.words, r.inVain),
        {
          figure: 'chance that it lasts',
          what: r.words,
          value: digits(r.lasts.chance),
          unit: 'share',
          low: digits(r.lasts.low),
          high: digits(r.lasts.high),
          count: r.lasted,
          of: r.lasted + r.cameBack,
        },
      ]),
      ...t.lasting.map((s) => ({
        figure: 'still mended after',
        what: `${s.days} days`,
        value: digits(s.lasting),
        unit: 'share',
        low: digits(s.low),
        high: digits(s.high),
        count: s.cameBack,
        of: s.atRisk,
      })),
      ...t.foundBy.map((f) => count('found by', f.words, f.count)),
      ...t.stops.flatMap((s) => spread('minutes by stop', s.stop, s.minutes)),
      ...t.moves.flatMap((m) => spread('minutes by move', m.verb, m.minutes)),
      ...t.parts.map((p) => ({ figure: 'parts fitted', what: p.name, value: p.count, unit: 'pieces' })),
      ...t.referred.map((r) => count('referred to', r.to, r.count)),
      ...t.money.flatMap((m): Row[] => [
        ...share('quotes accepted', m.currency, m.accepted),
        {
          figure: 'accepted in all',
          what: m.currency,
          value: plainMoney(m.sum, m.currency),
          unit: m.currency,
          count: m.accepted?.count ?? 0,
        },
      ]),
    ],
    FIGURES,
  );
