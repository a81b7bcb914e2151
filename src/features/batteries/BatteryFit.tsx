import { useState } from 'react';
import { type BatterySheet, VERDICT_WORDS } from '../../core/fit';
import { fitOf } from '../../core/job';
import { Action, Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { Dialog } from '../../ui/Dialog';
import { Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { BatterySheets, VERDICT_HEAD, VERDICT_INK } from './BatterySheets';
import { type BatteryTexts, EMPTY_TEXTS, readBench } from './bench';
import { textsOf } from './fields';
import { useChemistry } from './use-chemistry';

/** In Plan, for a battery: whether the new one fits, as it was compared for this job. */
export function BatteryFit({ element }: { element: string }) {
  const { job, record } = useJob();
  const [table] = useChemistry();
  const [open, setOpen] = useState(false);
  const [texts, setTexts] = useState<BatteryTexts>(EMPTY_TEXTS);
  const [wrong, setWrong] = useState<string | null>(null);
  if (job.map.elements.find((e) => e.id === element)?.kind !== 'battery') return null;
  const compared = job.batteries[element];
  const fit = fitOf(job, element);
  const begin = () => {
    const r = compared?.request;
    const side = (s: BatterySheet | undefined) => (s ? textsOf(s) : {});
    setTexts({
      old: side(r?.old),
      new: side(r?.new),
      load: r?.loadAmps === undefined ? '' : String(r.loadAmps),
      charger: r?.chargerAmps === undefined ? '' : String(r.chargerAmps),
      celsius: '20',
    });
    setWrong(null);
    setOpen(true);
  };
  const keep = () => {
    const read = readBench(texts, table, new Date().toISOString());
    if (read.refusal) return setWrong(read.refusal);
    const refused = record('battery.compared', {
      element,
      request: read.request,
      chemistry: table.version,
    });
    setWrong(refused?.reason ?? null);
    if (!refused) setOpen(false);
  };
  return (
    <section aria-label="Does the new one fit" className="border border-rule-strong p-3 grid gap-2">
      <div className="lead">
        <h3 className={`sec ${fit ? VERDICT_INK[fit.verdict] : ''}`}>
          {fit ? VERDICT_HEAD[fit.verdict] : 'Does the new battery fit?'}
        </h3>
        {compared && (
          <span className="note">
            compared <Clock at={compared.at} day />
            {compared.chemistry > 0 && `, chemistry rows of version ${compared.chemistry}`}
          </span>
        )}
      </div>
      {fit ? (
        <ul className="text-[15px]">
          {fit.lines
            .filter((l) => l.verdict !== 'pass' && l.verdict !== 'not known')
            .map((l) => (
              <li key={l.line}>
                <b className={VERDICT_INK[l.verdict]}>{VERDICT_WORDS[l.verdict]}</b>: {l.line}, {l.why}
              </li>
            ))}
          {fit.work.length > 0 && <li>Work it takes stands in Swap, and holds it.</li>}
        </ul>
      ) : (
        <p className="note">
          Lay both beside each other: polarity, charge voltage, size, plug, and whether it can hold what it
          claims.
        </p>
      )}
      <Second small className="justify-self-start" onClick={begin}>
        {compared ? 'Compare again' : 'Compare old and new'}
      </Second>
      <Dialog wide="table" open={open} onClose={() => setOpen(false)} title={`Batteries for ${element}`}>
        {open && (
          <div className="grid gap-3">
            <BatterySheets texts={texts} table={table} onTexts={setTexts} />
            {wrong && <Wrong>{wrong}</Wrong>}
            <Action className="justify-self-start" onClick={keep}>
              Keep it in the job
            </Action>
          </div>
        )}
      </Dialog>
    </section>
  );
}
