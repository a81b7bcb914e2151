import { Refusal } from '../../core/refusal';
import { STEPPER_DRIVERS, type StepperDriver, stepperSet } from '../../core/sums';
import { parseReading } from '../../core/unit';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';

const EMPTY = { driver: '4988', ohms: '0.1', by: 'vref', value: '0.8' };
const WAYS = {
  vref: 'Reference at the pot, V',
  rmsAmps: 'Current, A r.m.s.',
  commandMa: 'Command, mA r.m.s.',
} as const;
type By = keyof typeof WAYS;

/** A stepper current set in volts, in amps or by command: whichever is typed, all three are shown. */
export function StepperSheet() {
  const [t, put] = useTyped('stepper', EMPTY);
  let set: ReturnType<typeof stepperSet> | null = null;
  let wrong: string | null = null;
  try {
    set = stepperSet(t.driver as StepperDriver, parseReading(t.ohms), { [t.by]: parseReading(t.value) });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    wrong = error.message;
  }
  const shown: Record<By, string> = {
    vref: set ? `${Number(set.vref.toPrecision(4))}\u00a0V` : 'not known',
    rmsAmps: set ? `${Number(set.rmsAmps.toPrecision(4))}\u00a0A` : 'not known',
    commandMa: set ? `${Math.round(set.commandMa)}\u00a0mA` : 'not known',
  };
  return (
    <div className="grid grid-cols-[320px_minmax(0,1fr)] max-[900px]:grid-cols-1 gap-6">
      <section className="grid gap-3 content-start" aria-label="Stepper driver">
        <SelectField
          label="Chopper of type"
          value={t.driver}
          onChange={(e) => put({ driver: e.target.value })}
        >
          {STEPPER_DRIVERS.map((d) => (
            <option key={d}>{d}</option>
          ))}
        </SelectField>
        <TextField label="Sense resistor, Ω" value={t.ohms} onChange={(e) => put({ ohms: e.target.value })} />
        <SelectField label="Given as" value={t.by} onChange={(e) => put({ by: e.target.value })}>
          {(Object.keys(WAYS) as By[]).map((w) => (
            <option key={w} value={w}>
              {WAYS[w]}
            </option>
          ))}
        </SelectField>
        <TextField
          label={WAYS[t.by as By] ?? WAYS.vref}
          value={t.value}
          onChange={(e) => put({ value: e.target.value })}
        />
        {wrong && <Wrong>{wrong}</Wrong>}
      </section>
      <section className="grid gap-3 content-start" aria-label="All three">
        <dl className="grid grid-cols-3 max-[760px]:grid-cols-1 border-y border-rule">
          {(Object.keys(WAYS) as By[]).map((w) => (
            <div key={w} className="py-2 pr-3">
              <dd className={`big text-[32px] ${w === t.by ? 'text-bark-2' : ''}`}>{shown[w]}</dd>
              <dt className="note">{WAYS[w].split(',')[0]}</dt>
            </div>
          ))}
        </dl>
        {set && <p>Peak {Number(set.peakAmps.toPrecision(4))}&nbsp;A.</p>}
        <p className="note">
          Makers’ data sheets. A start of 0.70 to 0.80&nbsp;V for a motor of frame 17 is common practice.
          Never part a motor lead while it is powered: the driver dies of it.
        </p>
      </section>
    </div>
  );
}
