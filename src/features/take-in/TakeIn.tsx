import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { PATTERNS, type Pattern } from '../../core/job';
import { HAZARD_KINDS, HAZARDS, type HazardKind } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Choices, TextField, toggled, Wrong } from '../../ui/Field';
import { HazardGlyph } from '../../ui/HazardGlyph';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { Photos } from '../photos/Photos';
import { ReferOrRepair } from './ReferOrRepair';
import { WhichVariant } from './WhichVariant';

interface Form {
  function: string;
  alsoFails: string[];
  symptom: string;
  pattern: Pattern;
  since: string;
  unitSays: string;
  variant: string;
  keep: string;
  hazards: HazardKind[];
}

const KEEP = ['stored data', 'settings', 'warranty seal', 'media inside'];

const alsoFails = (f: Form) => f.alsoFails.filter((id) => id !== f.function);

/** What comes in: which function fails, how, how often, what must not be lost, what can hurt. */
export function TakeIn() {
  const { job, record, go } = useJob();
  const { intake, whole: map } = job;
  const [wrong, setWrong] = useState<Refused | null>(null);
  const form = useForm<Form>({
    defaultValues: {
      function: intake?.function ?? (map.functions.length === 1 ? (map.functions[0]?.id ?? '') : ''),
      alsoFails: intake?.alsoFails ?? [],
      symptom: intake?.symptom ?? '',
      pattern: intake?.pattern ?? 'always',
      since: intake?.since ?? '',
      unitSays: intake?.unitSays ?? '',
      variant: intake?.variant ?? '',
      keep: intake?.keep.join(', ') ?? '',
      hazards: [],
    },
  });
  const save = (then: 'trace' | 'plan') =>
    form.handleSubmit((f) => {
      const text = (v: string) => v.trim();
      const refused = record('intake.recorded', {
        function: f.function,
        symptom: text(f.symptom),
        pattern: f.pattern,
        keep: f.keep.split(',').map(text).filter(Boolean),
        ...(alsoFails(f).length ? { alsoFails: alsoFails(f) } : {}),
        ...(text(f.since) ? { since: text(f.since) } : {}),
        ...(text(f.unitSays) ? { unitSays: text(f.unitSays) } : {}),
        ...(f.variant ? { variant: f.variant } : {}),
        ...(f.hazards.length ? { addHazards: f.hazards } : {}),
      });
      setWrong(refused);
      if (!refused) go(then);
    });
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  const keep = form.watch('keep');
  const main = form.watch('function');
  const says = form.watch('unitSays');
  const known = new Set(map.hazards.map((h) => h.kind));
  const addable = HAZARD_KINDS.filter((k) => !known.has(k));

  return (
    <div className="cols">
      <div>
        <form className="pad grid gap-5 content-start" onSubmit={save('trace')} noValidate>
          <h2 className="headline">What does it do wrong?</h2>
          <Controller
            control={form.control}
            name="function"
            render={({ field }) => (
              <Choices
                label="It should do this, and does not"
                name="function"
                value={field.value}
                onPick={field.onChange}
                options={map.functions.map((f) => ({ value: f.id, words: f.name }))}
                wrong={at('/function')}
              />
            )}
          />
          {map.functions.length > 1 && main && (
            <Controller
              control={form.control}
              name="alsoFails"
              render={({ field }) => (
                <Choices
                  many
                  label="And fails with it"
                  name="alsoFails"
                  value={field.value}
                  onPick={(v) => field.onChange(toggled(field.value, v))}
                  options={map.functions
                    .filter((f) => f.id !== main)
                    .map((f) => ({ value: f.id, words: f.name }))}
                  hint="What fails together is looked for where both come from."
                />
              )}
            />
          )}
          <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] max-[760px]:grid-cols-1 gap-4">
            <TextField
              label="What happens instead"
              placeholder="drops out on the left side"
              autoComplete="off"
              {...form.register('symptom')}
              wrong={at('/symptom')}
            />
            <TextField
              label="Since when"
              placeholder="last Sunday"
              autoComplete="off"
              {...form.register('since')}
            />
          </div>
          <Controller
            control={form.control}
            name="pattern"
            render={({ field }) => (
              <Choices
                label="How often"
                name="pattern"
                value={field.value}
                onPick={field.onChange}
                options={PATTERNS.map((p) => ({ value: p, words: p }))}
                hint="A fault that comes and goes is looked for in another way: one good answer clears less."
              />
            )}
          />
          <TextField
            label="What the unit itself says"
            placeholder="a message, a code, a lamp"
            autoComplete="off"
            {...form.register('unitSays')}
            hint="When it already names the culprit, go straight to Plan."
          />
          {map.variants && map.variants.length > 0 && (
            <Controller
              control={form.control}
              name="variant"
              render={({ field }) => (
                <WhichVariant map={map} value={field.value} onPick={field.onChange} wrong={at('/variant')} />
              )}
            />
          )}
          <div className="grid gap-2">
            <TextField
              label="What must not be lost"
              placeholder="stored data, settings"
              autoComplete="off"
              {...form.register('keep')}
              hint="Parted by commas. It comes up again at Hand over."
            />
            <div className="flex flex-wrap gap-2">
              {KEEP.filter((k) => !keep.includes(k)).map((k) => (
                <Second
                  key={k}
                  small
                  onClick={() => form.setValue('keep', keep.trim() ? `${keep.trim()}, ${k}` : k)}
                >
                  {k}
                </Second>
              ))}
            </div>
          </div>
          {wrong && !['/function', '/symptom', '/variant'].includes(wrong.path) && (
            <Wrong>{wrong.reason}</Wrong>
          )}
          <div className="bar">
            <Action type="submit" keyName="Enter">
              {intake ? 'Record again' : 'Record'}
            </Action>
            <Second onClick={save('plan')}>
              {says.trim() ? `Plan at once: “${says.trim()}”` : 'Plan at once, the cause is known'}
            </Second>
          </div>
        </form>
        <div className="pad border-t border-rule">
          <Photos title="Pictures" hint="As it came: the outside, the label, the damage." />
        </div>
      </div>
      <section className="pad grid gap-4 content-start">
        {intake && <ReferOrRepair key={`${intake.weighed ? 'weighed' : 'open'}`} />}
        <h2 className="sec">What can hurt in it</h2>
        {map.hazards.length === 0 && (
          <p className="note">Nothing is on its map. Add what you know before you open it.</p>
        )}
        <ul className="rows">
          {map.hazards.map((h) => (
            <li key={h.id} className="grid grid-cols-[26px_1fr] gap-2">
              <span className="text-brick pt-1">
                <HazardGlyph kind={h.kind} />
              </span>
              <span>
                <b>{h.name}</b>, {h.detail}
                <span className="note block">{h.clear.caution}</span>
              </span>
            </li>
          ))}
        </ul>
        {addable.length > 0 && (
          <Controller
            control={form.control}
            name="hazards"
            render={({ field }) => (
              <Choices
                many
                label="Also in this one"
                name="hazards"
                value={field.value}
                onPick={(v) => field.onChange(toggled(field.value, v as HazardKind))}
                options={addable.map((k) => ({
                  value: k,
                  words: HAZARDS[k].name,
                }))}
                hint="Each one gets its gate in Make safe."
              />
            )}
          />
        )}
        <div className="border-t border-rule pt-3">
          <h2 className="sec mb-1">On its map</h2>
          <p className="note">
            {map.elements.length} elements, {map.taps.length} points to look or measure at,{' '}
            {map.access.length} {map.access.length === 1 ? 'cover' : 'covers'}.
          </p>
        </div>
      </section>
    </div>
  );
}
