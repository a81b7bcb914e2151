import { useEffect, useMemo, useRef, useState } from 'react';
import { Refusal } from '../../core/refusal';
import { formatReading, hazardsOf, judgeReading, type MapCheck, parseReading } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { RangeStrip } from '../../ui/RangeStrip';
import { Arrow, TickBox, Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { CoverFirst, useCoversOn } from './CoverFirst';

export interface Typed {
  check: string;
  outcome?: 'ok' | 'bad';
  reading?: number;
}

interface AnsweringProps {
  check: MapCheck;
  /** what each answer would point to now, when it is known */
  why?: string | undefined;
  /** records the answer; the reason when it is refused */
  onAnswer(a: Typed & { source: 'meter' | 'eye' }): string | null;
  /** what is typed but not recorded, for the forecast */
  onTyped?(a: Typed | null): void;
}

function read(text: string): { value?: number; wrong?: string } {
  try {
    return { value: parseReading(text) };
  } catch (error) {
    return { wrong: error instanceof Refusal ? error.message : String(error) };
  }
}

/** The answer to one check: a reading against what is expected, or one of two words. */
export function Answering({ check, why, onAnswer, onTyped }: AnsweringProps) {
  const { job } = useJob();
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const covered = useCoversOn(check.trace.needs).length > 0;
  const hazards = useMemo(() => hazardsOf(job.map, check), [job.map, check]);
  const expect = check.tap?.expect;
  const typed = text.trim() ? read(text) : {};
  const verdict = expect && typed.value !== undefined ? judgeReading(typed.value, expect) : null;

  const value = typed.value;
  useEffect(() => {
    onTyped?.(value === undefined ? null : { check: check.id, reading: value });
  }, [value, check.id, onTyped]);

  const submit = (e: React.FormEvent) => {
    e.preventDefault();
    if (!text.trim() || typed.value === undefined) {
      setWrong(read(text).wrong ?? null);
      input.current?.focus();
      return;
    }
    setWrong(onAnswer({ check: check.id, reading: typed.value, source: 'meter' }));
  };
  const answer = (outcome: 'ok' | 'bad') => setWrong(onAnswer({ check: check.id, outcome, source: 'eye' }));

  return (
    <div className="grid gap-2 content-start">
      <div className="lead">
        <h3 className="sec">{check.title}</h3>
        <span className="note">{[check.about, check.tap?.note].filter(Boolean).join('; ')}</span>
      </div>
      {hazards.length > 0 && (
        <p className="flex gap-2 text-brick font-[600] text-[14px]">
          <Warn /> {hazards.map((h) => `${h.name}, ${h.detail}`).join('; ')}: live while you do this. One
          hand, insulated probe.
        </p>
      )}
      {covered ? (
        <CoverFirst check={check} onRefused={setWrong} />
      ) : expect ? (
        <form onSubmit={submit} className="grid gap-2" noValidate>
          <div className="flex gap-[10px] items-stretch max-[500px]:flex-col">
            <label className="flex items-center border-2 border-bark h-[52px] w-[200px] flex-none px-[10px]">
              <span className="sr-only">Reading in {expect.unit}</span>
              <input
                ref={input}
                data-key="reading"
                className="w-full min-w-0 font-mono text-[28px] font-[600] bg-transparent outline-none"
                value={text}
                onChange={(e) => {
                  setText(e.target.value);
                  setWrong(null);
                }}
                inputMode="text"
                autoComplete="off"
                aria-invalid={wrong ? true : undefined}
              />
              <span className="mono text-bark-2 pl-2">{expect.unit}</span>
            </label>
            {verdict ? (
              <output
                className={`flex-1 grid grid-cols-[34px_1fr] items-center border-[1.5px] pl-2 leading-[1.15] min-h-[52px] ${verdict.inRange ? 'bg-moss-wash border-moss text-moss' : 'bg-ochre-wash border-ochre text-ochre'}`}
              >
                {verdict.inRange ? (
                  <TickBox size={22} />
                ) : (
                  <Arrow turn={verdict.side === 'under' ? 90 : -90} size={22} />
                )}
                <span>
                  <b className="block text-[17px]">
                    {verdict.inRange ? 'In range' : verdict.side === 'under' ? 'Too low' : 'Too high'}
                  </b>
                  <span className="text-[13.5px] text-bark">
                    {verdict.inRange
                      ? `wanted ${expect.nominal} ± ${expect.tolerance}\u00a0${expect.unit}`
                      : `${formatReading(verdict.outBy, expect.unit)} ${verdict.side}`}
                  </span>
                </span>
              </output>
            ) : (
              <span className="note flex-1 self-center">
                Type it as the meter shows it: 0.775, 775m, 4k7.
              </span>
            )}
          </div>
          <RangeStrip {...expect} value={typed.value} />
          <p>
            Expected{' '}
            <b>
              {expect.nominal}&nbsp;{expect.unit} ± {expect.tolerance}&nbsp;{expect.unit}
            </b>
            , so {formatReading(expect.nominal - expect.tolerance, '')} to{' '}
            {formatReading(expect.nominal + expect.tolerance, expect.unit)}
          </p>
          <div className="flex flex-wrap gap-3">
            <Action type="submit" keyName="Enter">
              Record
            </Action>
            <Second
              onClick={() => {
                setText('');
                input.current?.focus();
              }}
            >
              Doubtful, take again
            </Second>
          </div>
        </form>
      ) : (
        <>
          <p className="text-bark-2">{why ?? check.why}</p>
          <div className="grid grid-cols-2 gap-3">
            {(['ok', 'bad'] as const).map((o) => (
              <Second
                key={o}
                className="min-h-[64px]! text-[18px] flex-col items-start! justify-center gap-[2px]!"
                onClick={() => answer(o)}
                onMouseEnter={() => onTyped?.({ check: check.id, outcome: o })}
                onFocus={() => onTyped?.({ check: check.id, outcome: o })}
                onMouseLeave={() => onTyped?.(null)}
                onBlur={() => onTyped?.(null)}
              >
                <span className="flex gap-2 items-center">
                  {o === 'ok' ? (
                    <TickBox />
                  ) : (
                    <span className="text-ochre">
                      <Warn />
                    </span>
                  )}
                  {o === 'ok' ? check.ok : check.bad}
                </span>
              </Second>
            ))}
          </div>
        </>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
