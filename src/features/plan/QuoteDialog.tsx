import { addDays, format } from 'date-fns';
import { useState } from 'react';
import { ulid } from 'ulid';
import { ALTERNATIVES, type Alternative, priceOf, type QuoteLine } from '../../core/cost';
import { formatMoney, parseMoney, plainMoney } from '../../core/money';
import { Refusal } from '../../core/refusal';
import { NEW_WORKSHOP } from '../../core/workshop';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { AreaField, SelectField, TextField, Wrong } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { useWorkshop } from '../workshop/use-workshop';

/** Days for which a quote usually holds. Common practice, no source. */
const HOLDS_DAYS = 30;

interface Typed {
  /** tells one way from another while they are typed */
  id: string;
  way: Alternative;
  what: string;
  minutes: string;
  parts: string;
  days: string;
  chance: string;
  leaves: string;
}
const typedOf = (l: QuoteLine | null, currency: string): Typed => ({
  id: ulid(),
  way: l?.way ?? 'like for like',
  what: l?.what ?? '',
  minutes: l ? String(Math.round(l.minutes)) : '',
  parts: l && l.parts > 0 ? plainMoney(l.parts, currency) : '',
  days: l?.days === undefined ? '' : String(l.days),
  chance: l?.chance === undefined ? '' : String(Math.round(l.chance * 100)),
  leaves: l?.leaves ?? '',
});

/** A number as it is typed, or a refusal at its field. */
function number(text: string, otherwise: number, reason: string, path: string): number {
  if (!text.trim()) return otherwise;
  const n = Number(text.trim().replace(',', '.'));
  if (!Number.isFinite(n) || n < 0) throw new Refusal(reason, path);
  return n;
}

function lineOf(t: Typed, i: number, currency: string): QuoteLine {
  const at = `/lines/${i}`;
  let parts = 0;
  try {
    parts = t.parts.trim() ? parseMoney(t.parts, currency) : 0;
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.message, `${at}/parts`);
    throw error;
  }
  const chance = t.chance.trim()
    ? number(t.chance, 0, 'a chance is a share in percent, 0 to 100', `${at}/chance`) / 100
    : undefined;
  if (chance !== undefined && chance > 1)
    throw new Refusal('a chance is a share in percent, 0 to 100', `${at}/chance`);
  return {
    way: t.way,
    what: t.what,
    minutes: number(t.minutes, 0, 'minutes are a number, 0 or more', `${at}/minutes`),
    parts,
    ...(t.days.trim() ? { days: number(t.days, 0, 'days are a number, 0 or more', `${at}/days`) } : {}),
    ...(chance === undefined ? {} : { chance }),
    ...(t.leaves.trim() ? { leaves: t.leaves.trim() } : {}),
  };
}

/** The quote as it is made: ways with what each takes, how long it holds, what it does not cover. */
export function QuoteDialog({ first, onClose }: { first: QuoteLine | null; onClose(): void }) {
  const { job, record } = useJob();
  const { currency, ratePerHour } = useWorkshop() ?? NEW_WORKSHOP;
  // Half typed, it is still here when the sheet is opened again, and after a reload.
  const [typed, keep, drop] = useTyped(`quote-${job.id}-${job.quote?.id ?? first?.what ?? ''}`, {
    lines: job.quote
      ? job.quote.lines.map((l) => typedOf(l, job.quote?.currency ?? currency))
      : [typedOf(first, currency)],
    until: format(addDays(new Date(), HOLDS_DAYS), 'yyyy-MM-dd'),
    notCovered: job.quote?.notCovered ?? 'What is found once it is open, and was not to be seen before.',
    needed: job.quote?.needed ?? true,
  });
  const { lines, until, notCovered, needed } = typed;
  const [wrong, setWrong] = useState<Refused | null>(null);
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  const put = (i: number, more: Partial<Typed>) => {
    keep({ lines: lines.map((l, k) => (k === i ? { ...l, ...more } : l)) });
    setWrong(null);
  };
  const price = (t: Typed, i: number): string => {
    try {
      return formatMoney(priceOf(lineOf(t, i, currency), ratePerHour), currency);
    } catch {
      // Said at its field once the quote is made.
      return 'not known';
    }
  };
  const make = (e: React.FormEvent) => {
    e.preventDefault();
    e.stopPropagation();
    try {
      const refused = record('quote.made', {
        lines: lines.map((l, i) => lineOf(l, i, currency)),
        currency,
        ratePerHour,
        validUntil: until,
        ...(notCovered.trim() ? { notCovered } : {}),
        needed,
      });
      setWrong(refused);
      if (refused) return;
      drop();
      onClose();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong({ reason: error.message, path: error.path });
    }
  };
  const shown = lines.flatMap((_, i) =>
    ['what', 'minutes', 'parts', 'days', 'chance'].map((f) => `/lines/${i}/${f}`),
  );
  return (
    <Dialog open onClose={onClose} title="Quote" wide="table">
      <form onSubmit={make} noValidate className="grid gap-4">
        <p className="note">
          {formatMoney(ratePerHour, currency)} an hour.{' '}
          <a href="/workshop" className="underline inline-block min-h-11 content-center">
            Another rate or currency
          </a>
        </p>
        {lines.map((l, i) => (
          <fieldset key={l.id} className="border border-rule-strong p-3 grid gap-3">
            <legend className="px-1 font-[600]">
              Way {i + 1}: {price(l, i)}
            </legend>
            <div className="grid grid-cols-[200px_minmax(0,1fr)] max-[700px]:grid-cols-1 gap-3 items-start">
              <SelectField
                label={`Way ${i + 1} is`}
                value={l.way}
                onChange={(e) => put(i, { way: e.target.value as Alternative })}
              >
                {ALTERNATIVES.map((a) => (
                  <option key={a} value={a}>
                    {a}
                  </option>
                ))}
              </SelectField>
              <TextField
                label={`What is done, way ${i + 1}`}
                value={l.what}
                onChange={(e) => put(i, { what: e.target.value })}
                wrong={at(`/lines/${i}/what`)}
                autoComplete="off"
              />
            </div>
            <div className="grid grid-cols-4 max-[700px]:grid-cols-2 gap-3 items-start">
              <TextField
                label="Minutes"
                inputMode="decimal"
                value={l.minutes}
                onChange={(e) => put(i, { minutes: e.target.value })}
                wrong={at(`/lines/${i}/minutes`)}
              />
              <TextField
                label={l.way === 'refer' ? 'Their price' : 'Parts'}
                hint={currency}
                inputMode="decimal"
                value={l.parts}
                onChange={(e) => put(i, { parts: e.target.value })}
                wrong={at(`/lines/${i}/parts`)}
              />
              <TextField
                label="Wait"
                hint="days"
                inputMode="decimal"
                value={l.days}
                onChange={(e) => put(i, { days: e.target.value })}
                wrong={at(`/lines/${i}/days`)}
              />
              <TextField
                label="Mends it"
                hint="chance in percent"
                inputMode="decimal"
                value={l.chance}
                onChange={(e) => put(i, { chance: e.target.value })}
                wrong={at(`/lines/${i}/chance`)}
              />
            </div>
            <TextField
              label="Leaves open"
              placeholder="the other lead is as old"
              value={l.leaves}
              onChange={(e) => put(i, { leaves: e.target.value })}
              autoComplete="off"
            />
            {lines.length > 1 && (
              <Second
                small
                className="justify-self-start"
                onClick={() => keep({ lines: lines.filter((_, k) => k !== i) })}
              >
                Without way {i + 1}
              </Second>
            )}
          </fieldset>
        ))}
        <Second
          small
          className="justify-self-start"
          onClick={() => keep({ lines: [...lines, { ...typedOf(null, currency), way: 'better one' }] })}
        >
          Another way
        </Second>
        <div className="grid grid-cols-[200px_minmax(0,1fr)] max-[700px]:grid-cols-1 gap-3 items-start">
          <TextField
            label="Holds until"
            type="date"
            value={until}
            onChange={(e) => keep({ until: e.target.value })}
            wrong={at('/validUntil')}
          />
          <AreaField
            label="Not covered"
            rows={2}
            value={notCovered}
            onChange={(e) => keep({ notCovered: e.target.value })}
          />
        </div>
        <label className="flex gap-3 items-center min-h-11">
          <input
            type="checkbox"
            className="size-6 accent-bark"
            checked={needed}
            onChange={(e) => keep({ needed: e.target.checked })}
          />
          Nothing is mended before it is accepted
        </label>
        {wrong && ![...shown, '/validUntil'].includes(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
        <Action type="submit" className="justify-self-start">
          Make the quote
        </Action>
      </form>
    </Dialog>
  );
}
