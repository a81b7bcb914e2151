import { useState } from 'react';
import { ulid } from 'ulid';
import { Refusal } from '../../core/refusal';
import { describeUnit, HAZARD_KINDS, HAZARDS, type HazardKind, ungatedPacks } from '../../core/unit';
import { Action } from '../../ui/Action';
import { Choices, TextField, toggled, Wrong } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';
import { DescribedPacks } from './DescribedPacks';
import { DescribedRows } from './DescribedRows';
import { BLANK, descriptionOf, type Form } from './describe-form';
import { openJobOn } from './open-job';
import { type Failure, send } from './send';
import { UnitsFrame } from './UnitsFrame';

type TextKey = 'name' | 'maker' | 'model' | 'place' | 'does' | 'cover' | 'coverMinutes';

const PACK = HAZARD_KINDS.filter((k) => HAZARDS[k].isPack)
  .map((k) => HAZARDS[k].name)
  .join(', ');

/** A unit not met before, described in a minute: what it is made of from source to output, and what can hurt. */
export function Describe() {
  const [f, put, drop] = useTyped<Form>('unit', BLANK);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [busy, setBusy] = useState(false);
  const at = (path: string) => (failure?.path === path ? failure.reason : undefined);
  const ungated = ungatedPacks(f.rows, f.hazards);
  const text = (key: TextKey) => ({
    value: f[key],
    onChange: (e: { target: { value: string } }) => put({ [key]: e.target.value }),
    autoComplete: 'off' as const,
  });

  const save = async (e: React.FormEvent) => {
    e.preventDefault();
    let command: object;
    const id = ulid();
    try {
      command = {
        id,
        version: 0,
        map: describeUnit(descriptionOf(f)),
        ...(f.place.trim() ? { place: f.place.trim() } : {}),
      };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFailure({ reason: error.message, path: error.path });
      return;
    }
    setBusy(true);
    const sent = await send<{ id: string }>('/api/units', command);
    const opened = sent.ok ? await openJobOn(id) : sent.failure;
    setBusy(false);
    setFailure(opened);
    if (!opened) drop();
  };
  const shown = ['/name', '/does', '/cover', '/coverMinutes'];
  const inRow = /^\/rows\/(\d+)/.exec(failure?.path ?? '');

  return (
    <UnitsFrame tag="New" title="A unit not met before" about="what it is made of, from source to output">
      <form onSubmit={save} noValidate className="pad grid grid-cols-[minmax(0,1fr)] gap-5 max-w-[1280px]">
        <div className="grid grid-cols-4 max-[900px]:grid-cols-2 gap-4">
          <TextField label="What it is" placeholder="tide bell" {...text('name')} wrong={at('/name')} />
          <TextField label="Maker" {...text('maker')} />
          <TextField label="Model" {...text('model')} />
          <TextField label="Where it stands" {...text('place')} />
        </div>
        <TextField
          label="What it should do"
          placeholder="rings at high water"
          {...text('does')}
          wrong={at('/does')}
          hint="As its user finds it. This is what fails, and what is proven at the end."
        />
        <DescribedRows
          rows={f.rows}
          covers={f.cover
            .split(',')
            .map((c) => c.trim())
            .filter(Boolean)}
          hazards={f.hazards}
          onRows={(rows) => put({ rows })}
          failure={failure}
        />
        <DescribedPacks
          rows={f.rows}
          hazards={f.hazards}
          onRows={(rows) => put({ rows })}
          failure={failure}
        />
        <div className="grid grid-cols-[minmax(0,1fr)_160px] gap-4 max-w-[560px]">
          <TextField
            label="What has to come off"
            placeholder="rear cover"
            {...text('cover')}
            hint="the outermost first, parted by commas; empty when nothing does"
            wrong={at('/cover')}
          />
          <TextField
            label="Minutes"
            inputMode="decimal"
            {...text('coverMinutes')}
            wrong={at('/coverMinutes')}
          />
        </div>

        <Choices
          many
          label="What can hurt in it"
          name="hazards"
          value={f.hazards}
          onPick={(v) => put({ hazards: toggled(f.hazards, v as HazardKind) })}
          options={HAZARD_KINDS.map((k) => ({
            value: k,
            words: HAZARDS[k].name,
          }))}
          hint="Each gets its gate before the cover comes off. When in doubt, name it."
        />
        {ungated.length > 0 && (
          <p className="border border-ochre bg-ochre-wash px-3 py-2 max-w-[860px]" role="status">
            {ungated.map((r) => [r.mark, r.name].join(' ').trim()).join(', ')}: lithium, and no gate holds the
            way to it. {PACK} gives it one, with its leads.
          </p>
        )}

        {failure && !inRow && !shown.includes(failure.path) && failure.path !== '/rows' && (
          <Wrong>{failure.reason}</Wrong>
        )}
        <div className="bar">
          <Action type="submit" keyName="Enter" held={busy ? 'keeping it' : undefined}>
            {busy ? 'Keeping it' : 'Keep it and take it in'}
          </Action>
        </div>
      </form>
    </UnitsFrame>
  );
}
