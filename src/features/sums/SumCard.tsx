import { useEffect, useMemo, useState } from 'react';
import { Refusal } from '../../core/refusal';
import { answerSum, curveOf, type Sum, type SumAnswer, type SumInput, sensitivityOf } from '../../core/sums';
import { Second } from '../../ui/Action';
import { Choices, SelectField, TextField, Wrong } from '../../ui/Field';
import { later } from '../../ui/later';
import { Warn } from '../../ui/Signs';
import { drawingOf } from './drawings';
import { readTexts, startOf, type Texts, worded } from './typed';

/** The chart is fetched when a sum has one. */
const SumPlot = later(
  () => import('./SumPlot').then((m) => m.SumPlot),
  () => <p className="note">Drawing the curve</p>,
);
const FEW = 5;
const VERDICT = new Set(['answer', 'verdict']);
const INK: Record<string, string> = {
  pass: 'text-moss',
  credible: 'text-moss',
  warn: 'text-ochre',
  'above typical': 'text-ochre',
  fail: 'text-brick',
  'not credible': 'text-ochre',
};

type Answer = SumAnswer & { say?: string; caution?: string };

function Input({
  input,
  value,
  wrong,
  asked,
  onType,
  first,
}: {
  input: SumInput;
  value: string;
  wrong: string | undefined;
  asked: string | undefined;
  onType(text: string): void;
  first: boolean;
}) {
  const label = input.unit ? `${input.label}, ${input.unit}` : input.label;
  const options = input.options ?? [];
  if (input.kind === 'choice' || (input.kind === 'number' && options.length)) {
    const all = (input.optional ? ['', ...options] : [...options]).map((o) => ({
      value: o,
      words: o || 'not said',
    }));
    return all.length <= FEW ? (
      <Choices label={label} name={input.name} value={value} onPick={onType} options={all} wrong={wrong} />
    ) : (
      <SelectField label={label} value={value} onChange={(e) => onType(e.target.value)} wrong={wrong}>
        {all.map((o) => (
          <option key={o.value} value={o.value}>
            {o.words}
          </option>
        ))}
      </SelectField>
    );
  }
  return (
    <div>
      <TextField
        label={label}
        value={value}
        onChange={(e) => onType(e.target.value)}
        hint={input.hint}
        wrong={wrong}
        autoComplete="off"
        {...(first ? { 'data-first': true } : {})}
      />
      {asked && !wrong && <p className="text-ochre text-[14px] font-[600]">{asked}</p>}
    </div>
  );
}

/** One bench sum: figures in, answer as they are typed, where it comes from, and what to beware of. */
export function SumCard({
  sum,
  begin,
  onKeep,
}: {
  sum: Sum;
  /** what stands in the fields at first, beside the usual */
  begin?: Texts | undefined;
  /** keeps the result, with what was written to it */
  onKeep?: ((text: string) => string | null) | undefined;
}) {
  const [texts, setTexts] = useState<Texts>(() => ({ ...startOf(sum), ...begin }));
  const [note, setNote] = useState('');
  const [done, setDone] = useState('');
  const [told, setTold] = useState<string | null>(null);
  // What is fetched later is not part of the page that comes from the server.
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  const read = useMemo(() => readTexts(sum, texts), [sum, texts]);
  const readable = Object.keys(read.wrong).length === 0;
  const { answer, refusal } = useMemo<{ answer: Answer | null; refusal: Refusal | null }>(() => {
    if (!readable) return { answer: null, refusal: null };
    try {
      return { answer: answerSum(sum, read.given) as Answer, refusal: null };
    } catch (error) {
      if (error instanceof Refusal) return { answer: null, refusal: error };
      throw error;
    }
  }, [sum, read, readable]);
  const moves = useMemo(
    () => (answer ? sensitivityOf(sum, read.given).slice(0, 4) : []),
    [answer, sum, read],
  );
  const curve = useMemo(() => (answer ? curveOf(sum, read.given) : null), [answer, sum, read]);
  const drawing = answer ? drawingOf(sum.name, read.given, answer) : null;
  const at = (name: string) =>
    read.wrong[name] ?? (refusal?.path.split('/')[1] === name ? refusal.message : undefined);
  const shown = sum.outputs.filter((o) => answer && answer[o.name] !== undefined);
  const line = `${sum.title}: ${shown.map((o) => `${o.label} ${worded(answer?.[o.name], o.unit)}`).join(', ')} (${sum.inputs
    .filter((i) => texts[i.name]?.trim())
    .map((i) => `${i.label} ${texts[i.name]}${/\d$/.test(texts[i.name] ?? '') && i.unit ? ` ${i.unit}` : ''}`)
    .join(', ')})`;

  const copy = async () => {
    try {
      await navigator.clipboard.writeText(line);
      setDone('copied');
    } catch {
      setTold(line);
    }
  };
  const keep = () => {
    const refused = onKeep?.(note.trim() ? `${line}. ${note.trim()}` : line);
    setDone(refused ?? 'kept in the job');
    if (!refused) setNote('');
  };

  return (
    <div className="grid gap-4 content-start">
      <p className="text-bark-2">{sum.about}</p>
      <div className="grid grid-cols-2 max-[560px]:grid-cols-1 gap-x-4 gap-y-3 items-start">
        {sum.inputs.map((i, k) => (
          <Input
            key={i.name}
            input={i}
            first={k === 0}
            value={texts[i.name] ?? ''}
            wrong={at(i.name)}
            asked={read.asked[i.name]}
            onType={(text) => {
              setTexts({ ...texts, [i.name]: text });
              setDone('');
            }}
          />
        ))}
      </div>
      {refusal && !sum.inputs.some((i) => i.name === refusal.path.split('/')[1]) && (
        <Wrong>{refusal.message}</Wrong>
      )}
      <output className="grid gap-2 border-t-2 border-bark pt-3" aria-live="polite">
        {!answer && <p className="note">No answer yet: a figure is missing or cannot be.</p>}
        {answer && (
          <dl className="flex flex-wrap gap-x-8 gap-y-3">
            {shown.map((o, i) => (
              <div key={o.name}>
                <dt className="note">{o.label}</dt>
                <dd
                  className={`${Array.isArray(answer[o.name]) ? 'text-[16px]' : i === 0 ? 'big text-[34px]' : 'big text-[22px]'} leading-[1.1] ${VERDICT.has(o.name) ? (INK[String(answer[o.name])] ?? '') : ''}`}
                >
                  {worded(answer[o.name], o.unit)}
                </dd>
              </div>
            ))}
          </dl>
        )}
        {answer?.say && <p>{answer.say}</p>}
        {answer?.caution && (
          <p className="flex gap-2 text-brick font-[600]">
            <Warn /> {answer.caution}
          </p>
        )}
      </output>
      {drawing}
      {curve && alive && <SumPlot curve={curve} />}
      {answer && (
        <div className="grid gap-1 text-[14px]">
          <p>
            <span className="mono">{answer.formula}</span>
          </p>
          <p className="note">Source: {sum.source}.</p>
          {moves.length > 0 && (
            <p>
              {moves.map((m, i) => {
                const input = sum.inputs.find((x) => x.name === m.input)?.label ?? m.input;
                const output = sum.outputs.find((x) => x.name === m.output)?.label ?? m.output;
                const [low, high] = [m.lower, m.higher].map(
                  (x) => `${x > 0 ? '+' : '−'}${Math.abs(x).toFixed(1)}`,
                );
                return (
                  <span key={m.input}>
                    {i > 0 && '; '}
                    {input} ± 5 % makes “{output}” {low} % or {high} %
                  </span>
                );
              })}
              .
            </p>
          )}
        </div>
      )}
      {answer && (
        <div className="flex flex-wrap gap-3 items-end">
          <Second small onClick={copy}>
            Copy
          </Second>
          {onKeep && (
            <>
              <TextField
                label="Note to it"
                value={note}
                onChange={(e) => setNote(e.target.value)}
                className="max-w-[260px]"
                autoComplete="off"
              />
              <Second small onClick={keep}>
                Keep in the job
              </Second>
            </>
          )}
          <span className="note" role="status">
            {done}
          </span>
        </div>
      )}
      {told && (
        <p className="note">
          This browser does not let it be copied. Here it is: <span className="mono">{told}</span>
        </p>
      )}
    </div>
  );
}
