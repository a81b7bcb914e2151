import { useState } from 'react';
import { type LiveLine, leadsOf } from '../../core/hazard';
import { actLeft, leadsToPart, waitsUnder } from '../../core/job';
import { Refusal } from '../../core/refusal';
import { formatReading, HAZARDS, type Hazard, parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { Clock } from '../../ui/Clock';
import { TextField, Wrong } from '../../ui/Field';
import { GateSign } from '../../ui/GateSign';
import { HazardGlyph } from '../../ui/HazardGlyph';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { openSum, type SumAsked } from '../sums/open-sum';
import { LeadTicks, PackState } from './PackLeads';

/** The discharge sum with what the hazard says of itself: its voltage, its resistor, how low it has to read. */
function dischargeOf(h: Hazard): SumAsked {
  const volts = /([\d.]+)\s*V/.exec(h.detail)?.[1];
  const ohms = /([\d.]+\s*[kM]?)\s*Ω/.exec(h.clear.act)?.[1]?.replace(/\s/g, '');
  return {
    name: 'discharge',
    begin: {
      ...(volts ? { volts0: volts } : {}),
      ...(ohms ? { ohms } : {}),
      ...(h.clear.reading ? { volts1: String(h.clear.reading.max) } : {}),
    },
  };
}

/** One gate: its bar is down until the act is done and, where one can prove it, the reading is taken. */
export function GatePanel({
  line,
  holds,
}: {
  line: LiveLine /** the way in waits for it */;
  holds: boolean;
}) {
  const { job, record } = useJob();
  const { hazard: h, state } = line;
  const on = job.map.elements.find((e) => e.id === h.on);
  const [acted, setActed] = useState(false);
  const isPack = HAZARDS[h.kind].isPack;
  const leads = leadsToPart(job, h);
  const unnamed = isPack && !leadsOf(job.map, h).power;
  const [lead, setLead] = useState(`${h.on ?? 'battery'} lead`);
  const [ticked, setTicked] = useState(0);
  const ordered = isPack && leads.length > 1;
  const [text, setText] = useState('');
  const [passing, setPassing] = useState(false);
  const [wrong, setWrong] = useState<Refused | null>(null);
  const up = state.status === 'made safe';
  const under = waitsUnder(job, h);
  const wanted = h.clear.reading;
  const done = ordered ? ticked === leads.length : acted;
  const toRead = Boolean(wanted) && !text.trim();

  const clear = (e: React.FormEvent) => {
    e.preventDefault();
    let reading: number | undefined;
    if (wanted && text.trim()) {
      try {
        reading = parseReading(text);
      } catch (error) {
        setWrong({ reason: error instanceof Refusal ? error.message : String(error), path: '/reading' });
        return;
      }
    }
    const refused = record('gate.cleared', {
      hazard: h.id,
      acted: done,
      ...(isPack ? { leads: unnamed ? [lead.trim()].filter(Boolean) : leads } : {}),
      source: wanted ? 'meter' : 'eye',
      ...(reading === undefined ? {} : { reading, unit: wanted?.unit ?? '' }),
    });
    setWrong(refused);
    if (!refused) {
      setText('');
      setActed(false);
      setTicked(0);
    }
  };
  const pass = (reason: string) => {
    const refused = record('gate.passed', { hazard: h.id, reason });
    if (!refused) setPassing(false);
    return refused?.reason ?? null;
  };

  return (
    <section className="gate" data-up={up} aria-label={`Gate: ${h.name}`}>
      <GateSign up={up} />
      <div className="grid gap-2">
        <h3 className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[20px]">
          <span className={up ? '' : 'text-brick'}>
            <HazardGlyph kind={h.kind} />
          </span>
          {h.name}
          <span className="font-text text-[15px] font-[400] tracking-normal">
            {h.detail}
            {on && `, on ${on.id} ${on.name}`}
          </span>
        </h3>
        {up && state.proof ? (
          <p>
            <b className="text-moss">
              Gate up since <Clock at={state.proof.at} />
            </b>
            . {state.proof.act}
            {state.proof.reading !== undefined && (
              <>
                ; read <b>{formatReading(state.proof.reading, state.proof.unit ?? '')}</b> at {wanted?.at}
              </>
            )}
            .
          </p>
        ) : (
          <>
            {state.passed && (
              <p className="text-ochre font-[600]">
                Passed against advice at <Clock at={state.passed.at} />: {state.passed.reason}. It stays in
                the report.
              </p>
            )}
            {state.armed && (
              <p className="text-brick font-[600]">
                Live again since <Clock at={state.armed.at} />:{' '}
                {state.armed.by === 'power' ? 'the power came on' : `${state.armed.by} went in`}. Earlier
                readings no longer hold.
              </p>
            )}
            {under && (
              <p>
                Its act lies under the <b>{under.name}</b>: that comes off first, and this gate next, before
                anything else in there is touched.
              </p>
            )}
            <form onSubmit={clear} className="grid gap-2" noValidate>
              {ordered && <LeadTicks leads={leads} ticked={ticked} onTick={setTicked} holds={holds} />}
              {unnamed && (
                <TextField
                  label="Which lead is parted"
                  value={lead}
                  onChange={(e) => setLead(e.target.value)}
                  hint="Empty where it has none: soldered tags are cut or unsoldered one at a time."
                  autoComplete="off"
                  className="w-[270px]"
                />
              )}
              <div className="choices" hidden={ordered}>
                <label>
                  <input
                    type="checkbox"
                    checked={acted}
                    onChange={(e) => setActed(e.target.checked)}
                    data-next={(holds && !ordered && !done) || undefined}
                  />
                  <span className="dot" aria-hidden="true" />
                  {actLeft(job, h)}
                </label>
              </div>
              <div className="flex flex-wrap gap-3 items-end">
                {wanted && (
                  <TextField
                    label={`Reading at ${wanted.at}, ${wanted.unit}`}
                    hint={`up to ${wanted.max} ${wanted.unit}, by meter`}
                    value={text}
                    onChange={(e) => {
                      setText(e.target.value);
                      setWrong(null);
                    }}
                    autoComplete="off"
                    className="w-[270px]"
                    data-next={holds && done && toRead ? 'ask' : undefined}
                    wrong={wrong?.path === '/reading' ? wrong.reason : undefined}
                  />
                )}
                <span className={`flex gap-2 ${wanted ? 'pb-[21px]' : ''}`}>
                  <Second type="submit" data-next={(holds && done && !toRead) || undefined}>
                    Gate up
                  </Second>
                  {!state.passed && (
                    <Second onClick={() => setPassing(!passing)}>Pass it with a reason</Second>
                  )}
                </span>
              </div>
              {wrong && wrong.path !== '/reading' && <Wrong>{wrong.reason}</Wrong>}
            </form>
            {passing && (
              <div className="border-t border-rule pt-2">
                <AskLine
                  label="Why it is passed against advice"
                  hint="It stays in the report, with your name."
                  button="Pass it"
                  onSay={pass}
                />
              </div>
            )}
            {HAZARDS[h.kind].bleeds && (
              <Second small className="justify-self-start" onClick={() => openSum(dischargeOf(h))}>
                Work the discharge out
              </Second>
            )}
            <p className="note">{h.clear.caution}</p>
          </>
        )}
        {isPack && <PackState hazard={h} />}
      </div>
    </section>
  );
}
