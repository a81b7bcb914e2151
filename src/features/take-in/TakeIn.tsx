import { useState } from 'react';
import { AIM_WORDS, AIMS, type Aim, PATTERNS, type Pattern } from '../../core/job';
import { HAZARD_KINDS, HAZARDS, type HazardKind } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Choices, TextField, toggled, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { HazardGlyph } from '../../ui/HazardGlyph';
import { Swollen } from '../job/Swollen';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { Photos } from '../photos/Photos';
import { ReferOrRepair } from './ReferOrRepair';
import { WhichUnit } from './WhichUnit';
import { WhichVariant } from './WhichVariant';

interface Form {
  aim: Aim;
  function: string;
  alsoFails: string[];
  symptom: string;
  pattern: Pattern;
  since: string;
  unitSays: string;
  variant: string;
  keep: string;
  hazards: HazardKind[];
  parties: string[];
  party: string;
}

/** Who often has to know before a unit is opened. Common practice, no source. */
const PARTIES: Record<string, 'told' | 'allow'> = {
  'alarm receiver': 'told',
  'cash owner': 'allow',
  'whoever gives the warranty': 'allow',
};

const KEEP = ['stored data', 'settings', 'warranty seal', 'media inside'];

const alsoFails = (f: Form) => f.alsoFails.filter((id) => id !== f.function);

/** What comes in: which function fails, how, how often, what must not be lost, what can hurt. */
export function TakeIn() {
  const { job, record, go } = useJob();
  const { intake, whole: map } = job;
  const [wrong, setWrong] = useState<Refused | null>(null);
  const [f, setForm] = useState<Form>(() => ({
    aim: intake?.aim ?? 'fault',
    function: intake?.function ?? (map.functions.length === 1 ? (map.functions[0]?.id ?? '') : ''),
    alsoFails: intake?.alsoFails ?? [],
    symptom: intake?.symptom ?? '',
    pattern: intake?.pattern ?? 'always',
    since: intake?.since ?? '',
    unitSays: intake?.unitSays ?? '',
    variant: intake?.variant ?? '',
    keep: intake?.keep.join(', ') ?? '',
    hazards: [],
    parties: [],
    party: '',
  }));
  const aimed = f.aim !== 'fault';
  const put = (more: Partial<Form>) => setForm((now) => ({ ...now, ...more }));
  const text = (key: 'symptom' | 'since' | 'unitSays' | 'keep' | 'party') => ({
    value: f[key],
    onChange: (e: { target: { value: string } }) => put({ [key]: e.target.value }),
    autoComplete: 'off' as const,
  });
  const save = (then: 'trace' | 'plan') => {
    const typed = (v: string) => v.trim();
    const parties = [
      ...f.parties.map((who) => ({ who, must: PARTIES[who] ?? ('told' as const) })),
      ...(typed(f.party) ? [{ who: typed(f.party), must: 'told' as const }] : []),
    ];
    const refused = record('intake.recorded', {
      ...(aimed ? { aim: f.aim } : {}),
      function: f.function,
      symptom: typed(f.symptom),
      pattern: f.pattern,
      keep: f.keep.split(',').map(typed).filter(Boolean),
      ...(alsoFails(f).length ? { alsoFails: alsoFails(f) } : {}),
      ...(typed(f.since) ? { since: typed(f.since) } : {}),
      ...(typed(f.unitSays) ? { unitSays: typed(f.unitSays) } : {}),
      ...(then === 'plan' && !aimed && !typed(f.unitSays) ? { causeKnown: true } : {}),
      ...(f.variant ? { variant: f.variant } : {}),
      ...(f.hazards.length ? { addHazards: f.hazards } : {}),
      ...(parties.length ? { addParties: parties } : {}),
    });
    setWrong(refused);
    if (!refused) go(then);
  };
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  const { keep, function: main, unitSays: says } = f;
  const known = new Set(map.hazards.map((h) => h.kind));
  const addable = HAZARD_KINDS.filter((k) => !known.has(k));

  return (
    <div className="cols">
      <div>
        <form
          id="take-in"
          className="pad grid gap-5 content-start"
          onSubmit={(e) => {
            e.preventDefault();
            save(aimed ? 'plan' : 'trace');
          }}
          noValidate
        >
          <h2 className="headline">{aimed ? 'What is to be done?' : 'What does it do wrong?'}</h2>

          <Choices
            label="It comes for"
            name="aim"
            value={f.aim}
            onPick={(v) => put({ aim: v as Aim })}
            options={AIMS.map((a) => ({ value: a, words: AIM_WORDS[a] }))}
          />

          <Choices
            label={aimed ? 'It should do this afterwards' : 'It should do this, and does not'}
            name="function"
            value={f.function}
            onPick={(v) => put({ function: v })}
            options={map.functions.map((x) => ({ value: x.id, words: x.name }))}
            wrong={at('/function')}
          />
          {!aimed && map.functions.length > 1 && main && (
            <Choices
              many
              label="And fails with it"
              name="alsoFails"
              value={f.alsoFails}
              onPick={(v) => put({ alsoFails: toggled(f.alsoFails, v) })}
              options={map.functions
                .filter((x) => x.id !== main)
                .map((x) => ({ value: x.id, words: x.name }))}
              hint="What fails together is looked for where both come from."
            />
          )}
          <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] max-[760px]:grid-cols-1 gap-4">
            <TextField
              label={aimed ? 'What is to be done' : 'What happens instead'}
              placeholder={aimed ? 'larger pack, new reader' : 'drops out on the left side'}
              {...text('symptom')}
              wrong={at('/symptom')}
            />
            {!aimed && <TextField label="Since when" placeholder="last Sunday" {...text('since')} />}
          </div>

          {!aimed && (
            <Choices
              label="How often"
              name="pattern"
              value={f.pattern}
              onPick={(v) => put({ pattern: v as Pattern })}
              options={PATTERNS.map((p) => ({ value: p, words: p }))}
              hint="A fault that comes and goes is looked for in another way: one good answer clears less."
            />
          )}

          {!aimed && (
            <TextField
              label="What the unit itself says"
              placeholder="a message, a code, a lamp"
              {...text('unitSays')}
              hint="When it already names the culprit, go straight to Plan."
            />
          )}
          {map.variants && map.variants.length > 0 && (
            <WhichVariant
              map={map}
              value={f.variant}
              onPick={(v) => put({ variant: v })}
              wrong={at('/variant')}
            />
          )}
          <div className="grid gap-2">
            <TextField
              label="What must not be lost"
              placeholder="stored data, settings"
              {...text('keep')}
              hint="Parted by commas. It comes up again at Hand over."
            />
            <div className="flex flex-wrap gap-2">
              {KEEP.filter((k) => !keep.includes(k)).map((k) => (
                <Second key={k} small onClick={() => put({ keep: keep.trim() ? `${keep.trim()}, ${k}` : k })}>
                  {k}
                </Second>
              ))}
            </div>
          </div>
          {wrong && !['/function', '/symptom', '/variant'].includes(wrong.path) && (
            <Wrong>{wrong.reason}</Wrong>
          )}
          <Foot>
            <Action type="submit" form="take-in" keyName="Enter">
              {intake ? 'Record again' : 'Record'}
            </Action>
            {!aimed && (
              <Second onClick={() => save('plan')}>
                {says.trim() ? `Plan at once: “${says.trim()}”` : 'Plan at once, the cause is known'}
              </Second>
            )}
          </Foot>
        </form>
        <div className="pad border-t border-rule">
          <Photos title="Pictures" hint="As it came: the outside, the label, the damage." />
        </div>
      </div>
      <section className="pad grid gap-4 content-start">
        {!job.practice && <WhichUnit />}
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
        <Swollen />
        {addable.length > 0 && (
          <Choices
            many
            label="Also in this one"
            name="hazards"
            value={f.hazards}
            onPick={(v) => put({ hazards: toggled(f.hazards, v as HazardKind) })}
            options={addable.map((k) => ({
              value: k,
              words: HAZARDS[k].name,
            }))}
            hint="Each one gets its gate in Make safe."
          />
        )}
        <div className="border-t border-rule pt-3 grid gap-2">
          <h2 className="sec">Who has to know before it is opened</h2>
          {job.map.parties?.map((p) => (
            <p key={p.id}>
              <b>{p.who}</b>, {p.must === 'allow' ? 'has to allow it' : 'is told'}
            </p>
          ))}
          <Choices
            many
            hideLabel
            label="Who has to know before it is opened"
            name="parties"
            value={f.parties}
            onPick={(v) => put({ parties: toggled(f.parties, v) })}
            options={Object.entries(PARTIES)
              .filter(([who]) => !job.map.parties?.some((p) => p.who === who))
              .map(([who, must]) => ({
                value: who,
                words: `${who}, ${must === 'allow' ? 'has to allow it' : 'is told'}`,
              }))}
          />
          <TextField label="Somebody else is told" placeholder="duty manager" {...text('party')} />
        </div>
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
