import { useState } from 'react';
import { fixesOf, isAimed, onlyNew, plansOf, remedyOptions } from '../../core/job';
import { formatMoney } from '../../core/money';
import { Action, Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { TickBox } from '../../ui/Signs';
import { BatteryFit } from '../batteries/BatteryFit';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { useTrace } from '../job/use-trace';
import { BoardFit } from './BoardFit';
import { InTheStore } from './InTheStore';
import { KitList } from './KitList';
import { Offers } from './Offers';
import { QuotePanel } from './QuotePanel';
import { useCosts } from './use-costs';

const percent = (p: number) => `${p < 0.01 ? 'under 1' : Math.round(p * 100)}\u00a0%`;
const minutes = (m: number) => `${Math.round(m)}\u00a0min`;

/** The remedy: one rung of the suspect's ladder, or somebody else's hands. */
export function PlanStop() {
  const { job, go } = useJob();
  if (!job.intake) {
    return (
      <div className="empty">
        <h2>First say what it does wrong</h2>
        <p>A plan needs a fault to mend. It may come from tracing, or from what the unit itself says.</p>
        <Foot>
          <Action onClick={() => go('take in')}>Take in</Action>
        </Foot>
      </div>
    );
  }
  return <PlanSheet />;
}

function PlanSheet() {
  const { job, record, go } = useJob();
  const { view } = useTrace(job);
  const traced = job.trace.length > 0;
  const says = job.intake?.unitSays;
  const [element, setElement] = useState(job.plan?.element ?? view.suspects[0]?.id ?? '');
  const p = view.suspects.find((s) => s.id === element)?.p ?? 0;
  const planned = plansOf(job);
  // A further one is done in the same opening, which is paid once.
  const further = planned.length > 0 && !planned.some((x) => x.element === element);
  const options = remedyOptions(job, element, p, further);
  const advised = view.next.find((n) => n.kind === 'repair' && n.element === element)?.remedy;
  const firstFree =
    options.find((o) => o.remedy.id === advised && !o.tried) ?? options.find((o) => !o.tried) ?? options[0];
  const [picked, setPicked] = useState<string | null>(job.plan?.remedy ?? null);
  const chosen = options.find((o) => o.remedy.id === picked) ?? firstFree;
  const money = useCosts(options);
  const cost = (id: string) => money?.costs.costs.find((c) => c.id === id);
  const isPlanned =
    planned.length > 1 && planned.some((x) => x.element === element && x.remedy === chosen?.remedy.id);
  const [why, setWhy] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const aimed = isAimed(job);
  // Nothing was traced: no figure is invented for it.
  const known = Boolean(job.intake?.causeKnown) && !traced;
  const bySay = (Boolean(says) && !traced) || known || aimed;
  const asked = aimed
    ? `asked for: ${job.intake?.symptom}`
    : says
      ? `the unit says so: ${says}`
      : 'the cause is known';
  const reason =
    why.trim() ||
    (bySay
      ? asked
      : `${element} at ${percent(p)} after ${job.trace.length} ${job.trace.length === 1 ? 'check' : 'checks'}`);
  const reasonForNew = onlyNew(job, element);
  const choose = (also: boolean) => {
    if (!chosen) return;
    const refused = record('plan.chosen', {
      element,
      remedy: chosen.remedy.id,
      why: reason,
      ...(bySay ? (says && !aimed ? { saidByUnit: true } : {}) : { chance: chosen.chance }),
      ...(also ? { also } : {}),
    });
    setWrong(refused);
    if (!refused && !also) go('make safe');
  };
  return (
    <div className="cols">
      <form
        id="plan"
        className="pad grid gap-4 content-start"
        onSubmit={(e) => {
          e.preventDefault();
          if (isPlanned) go('make safe');
          else choose(false);
        }}
      >
        <div className="lead">
          <h2 className="headline">
            Mend {job.map.elements.find((e) => e.id === element)?.name} {element}
          </h2>
          <span className="note">
            {aimed
              ? `asked for: “${job.intake?.symptom}”`
              : bySay
                ? says
                  ? `as said by the unit: “${says}”`
                  : 'the cause is known'
                : `${percent(p)} it is this one`}
          </span>
        </div>
        <SelectField
          label="Element to mend"
          className="max-w-[420px]"
          value={element}
          onChange={(e) => {
            setElement(e.target.value);
            setPicked(null);
          }}
        >
          {view.suspects.map((s) => (
            <option key={s.id} value={s.id}>
              {s.id} {job.map.elements.find((e) => e.id === s.id)?.name}
              {!bySay && `, ${percent(s.p)}`}
            </option>
          ))}
        </SelectField>
        <fieldset>
          <legend className="sec pb-2">Its ladder, gentlest first</legend>
          <ul>
            {options.map((o, i) => (
              <li key={o.remedy.id} className="border-t border-rule last:border-b">
                <label
                  className={`grid grid-cols-[44px_minmax(0,1fr)_repeat(3,auto)] max-[760px]:grid-cols-[44px_repeat(3,minmax(0,1fr))] gap-x-5 max-[760px]:gap-x-3 items-center min-h-[76px] px-2 py-2 relative cursor-pointer has-[:focus-visible]:outline-[3px] has-[:focus-visible]:outline-bark ${o === chosen ? 'bg-ochre-wash' : 'hover:bg-inset'}`}
                >
                  <input
                    type="radio"
                    name="remedy"
                    className="absolute opacity-0 inset-0"
                    checked={o === chosen}
                    onChange={() => setPicked(o.remedy.id)}
                  />
                  <span className="grid place-items-center w-[34px] h-[34px]">
                    <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
                      <path
                        d="M3 3H19L28 15 19 27H3Z"
                        fill={o === chosen ? 'var(--color-ochre-fill)' : 'var(--color-inset)'}
                        stroke="var(--color-bark)"
                        strokeWidth="1.5"
                      />
                      <text
                        x="12"
                        y="20"
                        textAnchor="middle"
                        fontSize="15"
                        fontWeight="700"
                        style={o === chosen ? { fill: '#271C14' } : undefined}
                      >
                        {i + 1}
                      </text>
                    </svg>
                  </span>
                  <span className="max-[760px]:col-span-3">
                    <b className="text-[18px]">{o.remedy.name}</b>
                    {o.remedy.id === advised && <span className="note"> soonest mended on average</span>}
                    {o.tried && <span className="note"> tried, the symptom stayed</span>}
                    <span className="note block">
                      {o.remedy.parts?.length ? `Parts: ${o.remedy.parts.join(', ')}` : 'No parts'}
                    </span>
                    {cost(o.remedy.id) && money && (
                      <span className="note block">
                        about {formatMoney(cost(o.remedy.id)?.expected ?? 0, money.currency)}{' '}
                        {job.intake?.weighed?.makerPrice ? 'in the end' : 'with what follows it'}
                        {money.partsOf(o) === null && ', without parts'}
                        {money.costs.cheapest === o.remedy.id && money.costs.costs.length > 1 && (
                          <b> least money</b>
                        )}
                      </span>
                    )}
                  </span>
                  <span className="max-[760px]:col-start-2">
                    <span className="big text-[24px] block">{Math.round(o.minutes)}</span>
                    <span className="note">min with opening</span>
                  </span>
                  <span>
                    <span className="big text-[24px] block">{Math.round(o.remedy.fixes * 100)} %</span>
                    <span className="note">lasts if it is {o.element}</span>
                  </span>
                  <span>
                    <span className="big text-[24px] block">
                      {bySay ? 'not traced' : `${Math.round(o.chance * 100)} %`}
                    </span>
                    <span className="note">mends the unit</span>
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </fieldset>
        {reasonForNew && <p className="note">Only a new one: {reasonForNew}.</p>}
        <BatteryFit element={element} />
        <BoardFit element={element} />
        {chosen?.remedy.parts?.[0] && <Offers part={chosen.remedy.parts[0]} element={element} />}
        <TextField
          label="Why"
          value={why}
          onChange={(e) => setWhy(e.target.value)}
          placeholder={reason}
          hint="It stands in the report. Left empty, it says what the trace says."
        />
        {wrong && <Wrong>{wrong.reason}</Wrong>}
        <Foot>
          <Action type="submit" form="plan" keyName="Enter">
            {isPlanned
              ? 'Make safe'
              : `${chosen ? chosen.remedy.name : 'Choose'}, ${minutes(chosen?.minutes ?? 0)}`}
          </Action>
          {further && (
            <Second onClick={() => choose(true)}>
              And {chosen?.remedy.name} in the same opening, {minutes(chosen?.minutes ?? 0)} more
            </Second>
          )}
          {!traced && !aimed && <Second onClick={() => go('trace')}>Trace it first</Second>}
        </Foot>
        <Planned />
      </form>
      <div>
        <div className="pad">
          <InTheStore
            looked={chosen?.remedy.parts?.length ? { element, parts: chosen.remedy.parts } : null}
          />
          <QuotePanel
            first={
              chosen
                ? {
                    way: 'like for like',
                    what: chosen.remedy.name,
                    minutes: chosen.minutes,
                    parts: money?.partsOf(chosen) ?? 0,
                    ...(bySay ? {} : { chance: chosen.chance }),
                  }
                : null
            }
          />
          <KitList />
        </div>
        <Refer />
      </div>
    </div>
  );
}

/** What is planned for this opening, in its order, and what was done in it already. */
function Planned() {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<string | null>(null);
  const plans = job.fix ? [] : plansOf(job);
  const done = fixesOf(job);
  if (plans.length + done.length === 0)
    return job.plan ? (
      <p className="flex gap-2 items-center text-moss">
        <TickBox /> Planned: {job.plan.name}. {job.plan.why}
      </p>
    ) : null;
  return (
    <section aria-label="In this opening">
      <h2 className="sec pb-1">In this opening</h2>
      <ul className="rows">
        {done.map((f) => (
          <li key={f.at} className="flex gap-2 items-center text-moss">
            <TickBox /> Done: {f.element}, {f.name}
          </li>
        ))}
        {plans.map((p) => (
          <li key={p.at} className="flex flex-wrap gap-2 items-center">
            <span className="flex-1 min-w-[220px]">
              <b>Planned: {p.name}</b>. {p.why}
            </span>
            {plans.length + done.length > 1 && (
              <Second
                small
                aria-label={`Leave out ${p.name}`}
                onClick={() => setWrong(record('plan.dropped', { element: p.element ?? '' })?.reason ?? null)}
              >
                Leave it out
              </Second>
            )}
          </li>
        ))}
      </ul>
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}

function Refer() {
  const { job, record, go } = useJob();
  const [to, setTo] = useState('');
  const [why, setWhy] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const refer = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('job.referred', { to, why });
    setWrong(refused);
    if (!refused) go('hand over');
  };
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  return (
    <form className="pad grid gap-4 content-start" onSubmit={refer}>
      <h2 className="sec">Or refer it</h2>
      <p className="note">
        Outside your competence, licensed work, under warranty, or the maker’s own service is cheaper: then
        the right repair is somebody else’s. Local codes and licensed practice decide what may be opened here.
      </p>
      <TextField
        label="To whom"
        placeholder="maker’s service"
        value={to}
        onChange={(e) => setTo(e.target.value)}
        wrong={at('/to')}
      />
      <TextField
        label="Because"
        placeholder="under warranty until March"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        wrong={at('/why')}
      />
      {wrong && !wrong.path.match(/to|why/) && <Wrong>{wrong.reason}</Wrong>}
      <div>
        <Second type="submit">Refer it</Second>
      </div>
      {job.intake?.keep.length ? (
        <div className="border-t border-rule pt-3">
          <h2 className="sec pb-1">Must not be lost</h2>
          <ul className="list-disc pl-5">
            {job.intake.keep.map((k) => (
              <li key={k}>{k}</li>
            ))}
          </ul>
        </div>
      ) : null}
    </form>
  );
}
