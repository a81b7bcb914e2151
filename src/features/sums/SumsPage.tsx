import { useMemo, useState } from 'react';
import { SUM_DRAWERS, SUMS, type Sum, sumsOver } from '../../core/sums';
import { useChemistry } from '../batteries/use-chemistry';
import { UnitsFrame } from '../units/UnitsFrame';
import { SumCard } from './SumCard';

const matches = (s: Sum, words: string[]) => {
  const text = [s.title, s.name, s.about, ...(s.also ?? [])].join(' ').toLowerCase();
  return words.every((w) => text.includes(w));
};

/** The cabinet of bench sums: drawers at the left, the sum in hand at the right. */
export function SumsPage({ name }: { name: string }) {
  const [find, setFind] = useState('');
  const [open, setOpen] = useState(name);
  const [{ rows }] = useChemistry();
  const sums = useMemo(() => sumsOver(rows), [rows]);
  const sum = sums.find((s) => s.name === open) ?? (sums[0] as Sum);
  const drawers = useMemo(() => {
    const words = find.toLowerCase().split(/\s+/).filter(Boolean);
    return SUM_DRAWERS.map((d) => ({ ...d, sums: d.sums.filter((s) => matches(s, words)) })).filter(
      (d) => d.sums.length > 0,
    );
  }, [find]);
  return (
    <UnitsFrame tag="Sums" title="Bench sums" about={`${SUMS.length} sums, each with its formula and source`}>
      <div className="grid grid-cols-[340px_minmax(0,1fr)] max-[820px]:grid-cols-1 min-h-full">
        <nav aria-label="Sums" className="border-r border-rule-strong pad grid gap-3 content-start">
          <label className="field">
            <span className="field-label">Find</span>
            <input
              className="input"
              data-key="find"
              value={find}
              onChange={(e) => setFind(e.target.value)}
              placeholder="awg, ferrule, rs-232"
              autoComplete="off"
            />
          </label>
          {drawers.length === 0 && <p className="note">No sum answers to that. Try the thing it is about.</p>}
          {drawers.map((d) => (
            <div key={d.title}>
              <h2 className="note pb-1">{d.title}</h2>
              <ul>
                {d.sums.map((s) => (
                  <li key={s.name}>
                    <a
                      href={`/sums/${s.name}`}
                      aria-current={s.name === sum.name ? 'page' : undefined}
                      className={`flex items-center min-h-[44px] px-3 border-b border-rule font-[560] ${s.name === sum.name ? 'bg-ochre-wash shadow-[inset_5px_0_0_var(--color-ochre-fill)]' : 'hover:bg-inset'}`}
                      onClick={(e) => {
                        if (e.metaKey || e.ctrlKey || e.shiftKey) return;
                        e.preventDefault();
                        setOpen(s.name);
                        window.history.replaceState({}, '', `/sums/${s.name}`);
                        document.title = `${s.title} – Mulch`;
                      }}
                    >
                      {s.title}
                    </a>
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </nav>
        <section className="pad max-w-[860px]" aria-label={sum.title}>
          <h2 className="headline pb-2">{sum.title}</h2>
          <SumCard key={sum.name} sum={sum} />
        </section>
      </div>
    </UnitsFrame>
  );
}
