import { useEffect, useState } from 'react';
import { Controller, useFieldArray, useForm } from 'react-hook-form';
import { ulid } from 'ulid';
import { Refusal } from '../../core/refusal';
import {
  type Description,
  describeUnit,
  ELEMENT_KINDS,
  type ElementKind,
  HAZARD_KINDS,
  HAZARDS,
  type HazardKind,
  parseReading,
  type TapHow,
} from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Choices, TextField, toggled, Wrong } from '../../ui/Field';
import { openJobOn } from './open-job';
import { type Failure, send } from './send';
import { UnitsFrame } from './UnitsFrame';

interface Row {
  mark: string;
  name: string;
  kind: ElementKind;
  outside: boolean;
  tap: string;
  how: TapHow;
  should: string;
  tolerance: string;
  unit: string;
  inside: boolean;
}

interface Form {
  name: string;
  maker: string;
  model: string;
  place: string;
  does: string;
  cover: string;
  coverMinutes: string;
  hazards: HazardKind[];
  rows: Row[];
}

const row = (mark: string, name: string, kind: ElementKind): Row => ({
  mark,
  name,
  kind,
  outside: false,
  tap: '',
  how: 'measure',
  should: '',
  tolerance: '',
  unit: 'V',
  inside: true,
});
const BLANK: Form = {
  name: '',
  maker: '',
  model: '',
  place: '',
  does: '',
  cover: 'cover',
  coverMinutes: '3',
  hazards: [],
  rows: [row('J1', 'input', 'connector'), row('W1', 'cable', 'cable'), row('A1', 'main board', 'board')],
};
const DRAFT = 'mulch-unit-draft';
const KEPT_DRAFT = (): Form => {
  try {
    return { ...BLANK, ...(JSON.parse(localStorage.getItem(DRAFT) ?? '{}') as Partial<Form>) };
  } catch {
    return BLANK;
  }
};

const number = (text: string, path: string): number => {
  try {
    return parseReading(text);
  } catch (error) {
    throw new Refusal(error instanceof Refusal ? error.message : String(error), path);
  }
};

/** The typed form as the core's description, with readings read. */
function descriptionOf(f: Form): Description {
  return {
    name: f.name,
    maker: f.maker,
    model: f.model,
    does: f.does,
    cover: f.cover,
    coverMinutes: f.cover.trim() ? number(f.coverMinutes, '/coverMinutes') : 0,
    hazards: f.hazards,
    rows: f.rows.map((r, i) => ({
      id: r.mark.trim(),
      name: r.name,
      kind: r.kind,
      ...(r.outside ? { outside: true } : {}),
      ...(r.tap.trim()
        ? {
            tap: {
              id: r.tap.trim(),
              how: r.how,
              inside: r.inside,
              ...(r.how === 'measure'
                ? {
                    nominal: number(r.should, `/rows/${i}/tap/nominal`),
                    tolerance: number(r.tolerance, `/rows/${i}/tap/tolerance`),
                    unit: r.unit,
                  }
                : {}),
            },
          }
        : {}),
    })),
  };
}

/** A unit not met before, described in a minute: what it is made of from source to output, and what can hurt. */
export function Describe() {
  const form = useForm<Form>({ defaultValues: BLANK });
  const rows = useFieldArray({ control: form.control, name: 'rows' });
  const [failure, setFailure] = useState<Failure | null>(null);
  const [busy, setBusy] = useState(false);
  const { reset, subscribe } = form;
  useEffect(() => reset(KEPT_DRAFT()), [reset]);
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => localStorage.setItem(DRAFT, JSON.stringify(values)),
      }),
    [subscribe],
  );
  const at = (path: string) => (failure?.path === path ? failure.reason : undefined);
  const watched = form.watch('rows');

  const save = form.handleSubmit(async (f) => {
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
    if (!opened) localStorage.removeItem(DRAFT);
  });
  const shown = ['/name', '/does', '/cover', '/coverMinutes'];
  const inRow = /^\/rows\/(\d+)/.exec(failure?.path ?? '');

  return (
    <UnitsFrame tag="New" title="A unit not met before" about="what it is made of, from source to output">
      <form onSubmit={save} noValidate className="pad grid grid-cols-[minmax(0,1fr)] gap-5 max-w-[1180px]">
        <div className="grid grid-cols-4 max-[900px]:grid-cols-2 gap-4">
          <TextField
            label="What it is"
            placeholder="tide bell"
            {...form.register('name')}
            wrong={at('/name')}
            autoComplete="off"
          />
          <TextField label="Maker" {...form.register('maker')} autoComplete="off" />
          <TextField label="Model" {...form.register('model')} autoComplete="off" />
          <TextField label="Where it stands" {...form.register('place')} autoComplete="off" />
        </div>
        <TextField
          label="What it should do"
          placeholder="rings at high water"
          {...form.register('does')}
          wrong={at('/does')}
          hint="As its user finds it. This is what fails, and what is proven at the end."
          autoComplete="off"
        />
        <fieldset className="grid grid-cols-[minmax(0,1fr)] gap-2">
          <legend className="sec pb-1">From source to output, one row each</legend>
          <p className="note">
            Supplies, batteries and settings feed all the others; put them last. A point to look or measure at
            is what you can reach after that element.
          </p>
          <div className="overflow-x-auto">
            <table className="plain min-w-[1060px]">
              <thead>
                <tr>
                  <th scope="col">Mark</th>
                  <th scope="col">What it is</th>
                  <th scope="col">Kind</th>
                  <th scope="col">Under the cover</th>
                  <th scope="col">Point after it</th>
                  <th scope="col">How</th>
                  <th scope="col">Should read</th>
                  <th scope="col">± </th>
                  <th scope="col">Unit</th>
                  <th scope="col">Inside</th>
                  <th scope="col">
                    <span className="sr-only">Take the row away</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {rows.fields.map((r, i) => {
                  const w = watched[i];
                  const measure = w?.how === 'measure' && Boolean(w.tap?.trim());
                  const bad = (p: string) => (failure?.path === `/rows/${i}/${p}` ? true : undefined);
                  const cell = 'py-1! pr-2!';
                  return (
                    <tr key={r.id}>
                      <td className={`${cell} w-[84px]`}>
                        <input
                          className="input mono"
                          aria-label={`Mark of row ${i + 1}`}
                          aria-invalid={bad('id')}
                          {...form.register(`rows.${i}.mark`)}
                          autoComplete="off"
                        />
                      </td>
                      <td className={cell}>
                        <input
                          className="input"
                          aria-label={`What row ${i + 1} is`}
                          aria-invalid={bad('name')}
                          {...form.register(`rows.${i}.name`)}
                          autoComplete="off"
                        />
                      </td>
                      <td className={`${cell} w-[130px]`}>
                        <select
                          className="input"
                          aria-label={`Kind of row ${i + 1}`}
                          {...form.register(`rows.${i}.kind`)}
                        >
                          {ELEMENT_KINDS.map((k) => (
                            <option key={k}>{k}</option>
                          ))}
                        </select>
                      </td>
                      <td className={`${cell} w-[70px]`}>
                        <Controller
                          control={form.control}
                          name={`rows.${i}.outside`}
                          render={({ field }) => (
                            <label className="grid place-items-center min-h-[48px]">
                              <input
                                type="checkbox"
                                className="w-6 h-6 accent-current"
                                aria-label={`Row ${i + 1} lies under the cover`}
                                checked={!field.value}
                                onChange={(e) => field.onChange(!e.target.checked)}
                              />
                            </label>
                          )}
                        />
                      </td>
                      <td className={`${cell} w-[92px]`}>
                        <input
                          className="input mono"
                          placeholder="none"
                          aria-label={`Point after row ${i + 1}`}
                          aria-invalid={bad('tap/id')}
                          {...form.register(`rows.${i}.tap`)}
                          autoComplete="off"
                        />
                      </td>
                      <td className={`${cell} w-[120px]`}>
                        <select
                          className="input"
                          aria-label={`How the point of row ${i + 1} is seen`}
                          {...form.register(`rows.${i}.how`)}
                        >
                          {['measure', 'look', 'listen'].map((k) => (
                            <option key={k}>{k}</option>
                          ))}
                        </select>
                      </td>
                      <td className={`${cell} w-[100px]`}>
                        <input
                          className="input mono"
                          disabled={!measure}
                          aria-label={`What the point of row ${i + 1} should read`}
                          aria-invalid={bad('tap/nominal')}
                          {...form.register(`rows.${i}.should`)}
                          autoComplete="off"
                        />
                      </td>
                      <td className={`${cell} w-[84px]`}>
                        <input
                          className="input mono"
                          disabled={!measure}
                          aria-label={`Tolerance at the point of row ${i + 1}`}
                          aria-invalid={bad('tap/tolerance')}
                          {...form.register(`rows.${i}.tolerance`)}
                          autoComplete="off"
                        />
                      </td>
                      <td className={`${cell} w-[72px]`}>
                        <input
                          className="input mono"
                          disabled={!measure}
                          aria-label={`Unit at the point of row ${i + 1}`}
                          aria-invalid={bad('tap/unit')}
                          {...form.register(`rows.${i}.unit`)}
                          autoComplete="off"
                        />
                      </td>
                      <td className={`${cell} w-[54px]`}>
                        <label className="grid place-items-center min-h-[48px]">
                          <input
                            type="checkbox"
                            className="w-6 h-6 accent-current"
                            aria-label={`The point of row ${i + 1} is inside`}
                            {...form.register(`rows.${i}.inside`)}
                          />
                        </label>
                      </td>
                      <td className={`${cell} w-[50px]`}>
                        <Second small onClick={() => rows.remove(i)} aria-label={`Take row ${i + 1} away`}>
                          −
                        </Second>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          {inRow && (
            <Wrong>
              Row {Number(inRow[1]) + 1}: {failure?.reason}
            </Wrong>
          )}
          {failure?.path === '/rows' && <Wrong>{failure.reason}</Wrong>}
          <div className="flex flex-wrap gap-2">
            {(
              [
                ['W', 'cable', 'cable'],
                ['A', 'board', 'board'],
                ['J', 'connector', 'connector'],
                ['M', 'motor', 'motor'],
                ['E', 'lamp', 'lamp'],
                ['N', 'sensor', 'sensor'],
                ['PS', 'supply', 'supply'],
                ['B', 'battery', 'battery'],
                ['S', 'setting', 'setting'],
              ] as const
            ).map(([letter, name, kind]) => (
              <Second
                key={kind}
                small
                onClick={() => {
                  const used = form.getValues('rows').map((x) => x.mark);
                  let n = 1;
                  while (used.includes(`${letter}${n}`)) n++;
                  rows.append(row(`${letter}${n}`, name, kind));
                }}
              >
                + {name}
              </Second>
            ))}
          </div>
        </fieldset>
        <div className="grid grid-cols-[minmax(0,1fr)_160px] gap-4 max-w-[560px]">
          <TextField
            label="What has to come off"
            placeholder="rear cover"
            {...form.register('cover')}
            hint="empty when nothing does"
            wrong={at('/cover')}
            autoComplete="off"
          />
          <TextField
            label="Minutes"
            inputMode="decimal"
            {...form.register('coverMinutes')}
            wrong={at('/coverMinutes')}
          />
        </div>
        <Controller
          control={form.control}
          name="hazards"
          render={({ field }) => (
            <Choices
              many
              label="What can hurt in it"
              name="hazards"
              value={field.value}
              onPick={(v) => field.onChange(toggled(field.value, v as HazardKind))}
              options={HAZARD_KINDS.map((k) => ({
                value: k,
                words: HAZARDS[k].name,
              }))}
              hint="Each gets its gate before the cover comes off. When in doubt, name it."
            />
          )}
        />
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
