import { chooseSpare } from '../../core/continuity';
import { flatCable, LATCH_KINDS } from '../../core/flat-cable';
import { Refusal } from '../../core/refusal';
import { Second } from '../../ui/Action';
import { AreaField, Choices, SelectField, TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { useTyped } from '../../ui/use-kept';
import { FlatDrawing } from './FlatDrawing';

const EMPTY = {
  cable: 'same' as 'same' | 'opposite',
  a: 'up' as 'up' | 'down',
  b: 'up' as 'up' | 'down',
  latchA: 'front flip',
  latchB: 'front flip',
  folds: '0',
  wanted: '10 1 120',
  spares: '10 1 150 same\n10 1 100 same\n12 1 150 same',
};

const judged = <T,>(work: () => T): { value: T | null; wrong: string | null } => {
  try {
    return { value: work(), wrong: null };
  } catch (error) {
    if (error instanceof Refusal) return { value: null, wrong: error.message };
    throw error;
  }
};

/** Reads `10 1 150 same`: contacts, pitch, length, faces. */
function sheetIn(line: string, at: number) {
  const [contacts, pitch, length, twist] = line.trim().split(/[\s;]+/);
  const n = (t: string | undefined) => Number((t ?? '').replace(',', '.'));
  if (!(n(contacts) > 0 && n(pitch) > 0 && n(length) > 0))
    throw new Refusal(`line ${at}: type contacts, pitch and length in mm: 10 1 150`);
  return {
    contacts: n(contacts),
    pitchMm: n(pitch),
    lengthMm: n(length),
    ...(twist === 'same' || twist === 'opposite' ? { twist: twist as 'same' | 'opposite' } : {}),
  };
}

/** Does the flat cable in the hand suit its two latches, how each opens, and which spare takes its place. */
export function FlatCable() {
  const [t, put] = useTyped('flat', EMPTY);
  const folds = Number(t.folds.trim() || '0');
  const fit = judged(() =>
    flatCable({
      cable: t.cable,
      a: { contacts: t.a, latch: t.latchA },
      b: { contacts: t.b, latch: t.latchB },
      folds,
    }),
  );
  const spares = judged(() => {
    const lines = t.spares.split('\n').filter((l) => l.trim());
    const list = lines.map((l, i) => sheetIn(l, i + 1));
    return { list, found: chooseSpare({ ...sheetIn(t.wanted, 1), twist: t.cable }, list) };
  });
  const faces = [
    { value: 'up', words: 'contacts above the cable' },
    { value: 'down', words: 'under it' },
  ];
  return (
    <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] max-[1000px]:grid-cols-1 gap-6">
      <section className="grid gap-4 content-start" aria-label="Flat cable">
        <h2 className={`headline ${fit.value ? (fit.value.fits ? 'text-moss' : 'text-ochre') : ''}`}>
          {fit.value ? (fit.value.fits ? 'It suits both ends' : 'It does not suit both ends') : 'Flat cable'}
        </h2>
        {fit.value && <p>{fit.value.why}</p>}
        {fit.wrong && <Wrong>{fit.wrong}</Wrong>}
        <FlatDrawing cable={t.cable} a={t.a} b={t.b} folds={Number.isInteger(folds) ? folds : 0} />
        <Choices
          label="Its bare contacts"
          name="cable"
          value={t.cable}
          onPick={(v) => put({ cable: v as typeof t.cable })}
          options={[
            { value: 'same', words: 'on the same face at both ends' },
            { value: 'opposite', words: 'on opposite faces' },
          ]}
        />
        <div className="grid grid-cols-2 max-[760px]:grid-cols-1 gap-4">
          {(['a', 'b'] as const).map((end) => (
            <div key={end} className="grid gap-2 border border-rule p-3">
              <h3 className="sec">End {end.toUpperCase()}</h3>
              <Choices
                label="The header has its"
                name={`end-${end}`}
                value={t[end]}
                onPick={(v) => put({ [end]: v } as Partial<typeof t>)}
                options={faces}
              />
              <SelectField
                label="Latch"
                value={end === 'a' ? t.latchA : t.latchB}
                onChange={(e) => put(end === 'a' ? { latchA: e.target.value } : { latchB: e.target.value })}
              >
                {LATCH_KINDS.map((k) => (
                  <option key={k}>{k}</option>
                ))}
              </SelectField>
              {fit.value?.latches
                .filter((l) => l.end === end)
                .map((l) => (
                  <p key={l.end} className="text-[14px]">
                    {l.opens} <b className="text-ochre">Breaks:</b> {l.breaks}
                  </p>
                ))}
            </div>
          ))}
        </div>
        <TextField
          label="Folds that turn it over on its way"
          value={t.folds}
          onChange={(e) => put({ folds: e.target.value })}
          inputMode="numeric"
          className="max-w-[280px]"
        />
      </section>
      <section className="grid gap-3 content-start" aria-label="Which spare">
        <h2 className="sec">Which spare from the drawer</h2>
        <TextField
          label="The one that is out: contacts, pitch, length, mm"
          value={t.wanted}
          onChange={(e) => put({ wanted: e.target.value })}
        />
        <AreaField
          label="Spares, one a line; same or opposite at the end"
          rows={5}
          value={t.spares}
          onChange={(e) => put({ spares: e.target.value })}
          spellCheck={false}
        />
        {spares.wrong && <Wrong>{spares.wrong}</Wrong>}
        <ol className="rows">
          {spares.value?.found.map((f) => {
            const s = spares.value?.list[f.spare];
            return (
              <li key={f.spare} className="flex gap-2 items-start">
                {f.fits ? <TickBox size={16} /> : <Warn size={16} />}
                <span>
                  <b>
                    {s?.contacts} contacts, {s?.pitchMm}&nbsp;mm, {s?.lengthMm}&nbsp;mm
                  </b>{' '}
                  {f.fits ? 'fits' : 'does not fit'}
                  {f.why.length > 0 && <span className="note block">{f.why.join('; ')}</span>}
                </span>
              </li>
            );
          })}
        </ol>
        <Second small className="justify-self-start" onClick={() => put(EMPTY)}>
          Begin anew
        </Second>
        <p className="note">
          Count from width: flat flex, width over pitch less one; ribbon, width over 1.27&nbsp;mm. Both stand
          among the bench sums.
        </p>
      </section>
    </div>
  );
}
