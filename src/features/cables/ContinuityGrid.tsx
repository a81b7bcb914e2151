import { useMemo } from 'react';
import { continuity } from '../../core/continuity';
import { Refusal } from '../../core/refusal';
import { Second } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import { ScrollRow } from '../../ui/ScrollRow';
import { TickBox, Warn } from '../../ui/Signs';
import { useTyped } from '../../ui/use-kept';

const MOST = 40;
const EMPTY = { contacts: '8', expected: '', joined: [] as [string, string][] };

/** Reads `1-2 2-1 3-3`: how it should be wired. */
function expectedIn(text: string): [string, string][] | undefined {
  if (!text.trim()) return undefined;
  return text
    .trim()
    .split(/[\s,;]+/)
    .map((t) => {
      const m = /^(\d+)[-:](\d+)$/.exec(t);
      if (!m) throw new Refusal(`“${t}”: type A to B as 1-2 2-1 3-3`);
      return [`A${m[1]}`, `B${m[2]}`];
    });
}

/** A cable probed contact by contact: opens, shorts and crossed pairs by name, and its pin map. */
export function ContinuityGrid() {
  const [t, put] = useTyped('continuity', EMPTY);
  const n = Math.min(MOST, Math.max(1, Math.round(Number(t.contacts)) || 1));
  const a = useMemo(() => Array.from({ length: n }, (_, i) => `A${i + 1}`), [n]);
  const b = useMemo(() => Array.from({ length: n }, (_, i) => `B${i + 1}`), [n]);
  const wrongCount = !(
    Number.isInteger(Number(t.contacts)) &&
    Number(t.contacts) >= 1 &&
    Number(t.contacts) <= MOST
  );
  const joined = t.joined.filter(([x, y]) => [...a, ...b].includes(x) && [...a, ...b].includes(y));
  const { answer, wrong } = useMemo(() => {
    try {
      const expected = expectedIn(t.expected);
      return { answer: continuity({ a, b, joined, ...(expected ? { expected } : {}) }), wrong: null };
    } catch (error) {
      if (error instanceof Refusal) return { answer: null, wrong: error.message };
      throw error;
    }
  }, [a, b, joined, t.expected]);
  const has = (x: string, y: string) => joined.some(([p, q]) => (p === x && q === y) || (p === y && q === x));
  const toggle = (x: string, y: string) =>
    put({
      joined: has(x, y)
        ? t.joined.filter(([p, q]) => !((p === x && q === y) || (p === y && q === x)))
        : [...t.joined, [x, y]],
    });
  const list = (pairs: [string, string][], word: string) =>
    pairs.map(([x, y]) => `${x} ${word} ${y}`).join(', ');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_340px] max-[1000px]:grid-cols-1 gap-6">
      <section className="grid gap-3 content-start min-w-0" aria-label="Probed">
        <div className="flex flex-wrap gap-3 items-end">
          <TextField
            label="Contacts at each end"
            value={t.contacts}
            onChange={(e) => put({ contacts: e.target.value })}
            wrong={wrongCount ? `a whole number from 1 to ${MOST}` : undefined}
            inputMode="numeric"
            className="w-[180px]"
          />
          <TextField
            label="Wired as, where not straight through"
            value={t.expected}
            onChange={(e) => put({ expected: e.target.value })}
            placeholder="1-2 2-1 3-3"
            className="flex-1 min-w-[220px]"
            wrong={wrong ?? undefined}
          />
          <span className="flex gap-2 pb-1">
            <Second small onClick={() => put({ joined: a.map((x, i) => [x, b[i] as string]) })}>
              All straight
            </Second>
            <Second small onClick={() => put({ joined: [] })}>
              None
            </Second>
          </span>
        </div>
        <ScrollRow label="Matrix of A against B" className="overflow-x-auto">
          <table className="plain" style={{ width: 'auto' }}>
            <thead>
              <tr>
                <th scope="col">
                  <span className="sr-only">A</span>
                </th>
                {b.map((y) => (
                  <th key={y} scope="col" className="text-center! mono">
                    {y}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {a.map((x) => (
                <tr key={x}>
                  <th scope="row" className="mono pr-2!">
                    {x}
                  </th>
                  {b.map((y) => (
                    <td key={y} className="p-0!">
                      <button
                        type="button"
                        aria-pressed={has(x, y)}
                        aria-label={`${x} to ${y}`}
                        className={`w-[44px] h-[44px] grid place-items-center border border-rule ${has(x, y) ? 'bg-slate-wash' : ''}`}
                        onClick={() => toggle(x, y)}
                      >
                        {has(x, y) && (
                          <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
                            <circle cx="9" cy="9" r="6.5" fill="var(--color-slate)" />
                          </svg>
                        )}
                      </button>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </ScrollRow>
        <div className="flex flex-wrap gap-2 items-center">
          <span className="note">Neighbours of one end that join:</span>
          {a.slice(0, -1).map((x, i) => (
            <Second
              key={x}
              small
              aria-pressed={has(x, a[i + 1] as string)}
              className={has(x, a[i + 1] as string) ? 'bg-slate-wash' : ''}
              onClick={() => toggle(x, a[i + 1] as string)}
            >
              {x}–{a[i + 1]}
            </Second>
          ))}
        </div>
      </section>
      <section className="grid gap-3 content-start" aria-label="What it says">
        {answer && (
          <>
            <h2 className={`headline ${answer.verdict === 'as it should be' ? 'text-moss' : 'text-ochre'}`}>
              {answer.verdict === 'as it should be' ? 'As it should be' : 'Faulty'}
            </h2>
            <ul className="rows">
              {(
                [
                  ['open', list(answer.opens, 'to')],
                  ['short', list(answer.shorts, 'and')],
                  ['crossed', list(answer.crossed, 'with')],
                ] as const
              ).map(([name, what]) => (
                <li key={name} className="flex gap-2 items-start">
                  {what ? <Warn size={16} /> : <TickBox size={16} />}
                  <span>
                    <b>{name}</b>: {what || 'none'}
                  </span>
                </li>
              ))}
            </ul>
            <h3 className="sec">From end to end</h3>
            <p className="mono text-[14px] leading-[1.5]">
              {answer.map.map((m) => `${m.from} ${m.to.length ? m.to.join('+') : 'nothing'}`).join('; ')}
            </p>
            <p className="note">
              Probe once at rest, then again while the cable is flexed along its length: what comes and goes
              is broken at the bend. Power out, both ends free.
            </p>
          </>
        )}
      </section>
    </div>
  );
}
